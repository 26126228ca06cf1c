/** Screens on which a day is lived; all others write something that stays. */
const REHEARSED = /^\/(?:kitchen(?:\/.*)?|plan(?:\/(?:load\/.*|steps|before|rehearse))?)?$/;

/** Whether a screen may be used while something is rehearsed. */
export function mayRehearse(path: string): boolean {
  return REHEARSED.test(path);
}
