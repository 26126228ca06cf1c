/** A thread that reads codes in pictures; its own file, since only a camera wants it. */
export function startScan(): Worker {
  return new Worker(new URL('./scan.worker', window.location.href));
}
