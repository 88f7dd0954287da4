declare module 'js-aruco2' {
  interface Corner {
    x: number;
    y: number;
  }
  interface Marker {
    id: number;
    corners: Corner[];
    hammingDistance: number;
  }
  interface Dictionary {
    /** Bits of each code, row by row; 1 is white. */
    codeList: string[];
  }
  const aruco: {
    AR: {
      Dictionary: new (name: string) => Dictionary;
      Detector: new (config: { dictionaryName: string; maxHammingDistance: number }) => {
        detect(image: { width: number; height: number; data: ArrayLike<number> }): Marker[];
      };
    };
  };
  export default aruco;
}
