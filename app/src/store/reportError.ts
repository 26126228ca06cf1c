import { askTo } from './api';

/** One screen that breaks again and again tells it a few times, not for ever. */
const MOST = 20;
let told = 0;

/** Tells the server's log what broke on this screen; without signal it is not told. */
export function reportError(error: unknown): void {
  if (told >= MOST) return;
  told += 1;
  const { message, stack } = error instanceof Error ? error : { message: String(error), stack: undefined };
  void askTo('POST', '/client-errors', {
    message: message.slice(0, 2_000),
    where: window.location.pathname.slice(0, 300),
    ...(stack !== undefined && { stack: stack.slice(0, 8_000) }),
  });
}

/** Tells of errors that nobody caught. @returns what ends it */
export function reportUncaught(): () => void {
  const onError = ({ error, message }: ErrorEvent) => reportError(error ?? message);
  const onRejection = ({ reason }: PromiseRejectionEvent) => reportError(reason);
  window.addEventListener('error', onError);
  window.addEventListener('unhandledrejection', onRejection);
  return () => {
    window.removeEventListener('error', onError);
    window.removeEventListener('unhandledrejection', onRejection);
  };
}
