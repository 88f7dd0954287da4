/** Photographs: what stands in the document; the pictures themselves are kept beside it, by the hash of their bytes. */

/** A mark over a picture, never in it. Places are shares of its width and height, 0 to 1. */
export interface PhotoMark {
  sort: 'arrow' | 'ring' | 'words';
  /** Tip of an arrow, middle of a ring, beginning of words. */
  x: number;
  y: number;
  /** Where the arrow comes from, a point on the ring. */
  toX?: number | undefined;
  toY?: number | undefined;
  text?: string | undefined;
}

export const photoSubjects = ['step', 'damage', 'reading', 'loan', 'plug'] as const;

/** What a picture shows, beside the job, machine or part it hangs on: the step of that id, the damage noted at that time. */
export interface PhotoSubject {
  of: (typeof photoSubjects)[number];
  key: string;
}

export interface Photo {
  id: string;
  /** SHA-256 of the picture's bytes, 64 hex digits. */
  hash: string;
  /** Taken or added, ISO time. */
  at: string;
  /** Pixels, upright. */
  width: number;
  height: number;
  bytes: number;
  when?: 'before' | 'after' | undefined;
  jobId?: string | undefined;
  machineId?: string | undefined;
  partId?: string | undefined;
  /** Of a model: true of every piece of its kind. */
  modelId?: string | undefined;
  about?: PhotoSubject | undefined;
  note?: string | undefined;
  marks: PhotoMark[];
}
