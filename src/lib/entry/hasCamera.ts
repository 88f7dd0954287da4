/** Whether a camera may be asked for at all: on a page that is not served safely the browser has none to give. */
export const hasCamera = (): boolean =>
  typeof navigator !== 'undefined' && navigator.mediaDevices?.getUserMedia !== undefined;
