/** Keeps the screen lit while a view is on it: hands that hold a screwdriver cannot tap. Left again when it goes. */
export function stayAwake(): () => void {
  let lock: WakeLockSentinel | undefined;
  let over = false;
  const ask = async (): Promise<void> => {
    if (over || document.visibilityState !== 'visible') return;
    try {
      lock = await navigator.wakeLock?.request('screen');
      if (over) void lock?.release();
    } catch {
      /* A battery that runs low, or a browser that does not: the screen goes dark as ever. */
      lock = undefined;
    }
  };
  const back = (): void => void ask();
  void ask();
  document.addEventListener('visibilitychange', back);
  return () => {
    over = true;
    document.removeEventListener('visibilitychange', back);
    void lock?.release();
  };
}
