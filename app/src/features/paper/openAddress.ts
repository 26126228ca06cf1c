import { OpenAddressesReply, type OpenAddressRequest } from '@hoddle/contract/paper';
import { useCallback, useEffect, useState } from 'react';
import * as v from 'valibot';
import { ask, askTo } from '@/store/api';

/** 256 random bits as text that stands in an address. */
export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(32));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '');
}

/** Where an address leads, as others of the house type it. @param reachedAt where other devices reach the server */
export function addressOf(key: string, ending: '' | '.ics', reachedAt: readonly string[]): string {
  const own = window.location.origin;
  const isHere = /\/\/(localhost|127\.|\[::1\])/.test(own);
  return `${isHere ? (reachedAt[0] ?? own) : own}/open/${key}${ending}`;
}

/** Opens an address; the sentence why not, where it is not. */
export async function openAddress(request: OpenAddressRequest): Promise<string | undefined> {
  const answer = await askTo('POST', '/open-addresses', request);
  return answer.kind === 'done' ? undefined : answer.message;
}

/** Addresses that are open, and those that were; asked anew with `look`. Undefined until the server has answered. */
export function useOpenAddresses() {
  const [known, setKnown] = useState<OpenAddressesReply>();
  const look = useCallback(async () => {
    const told = v.safeParse(OpenAddressesReply, await ask('/open-addresses'));
    if (told.success) setKnown(told.output);
  }, []);
  useEffect(() => {
    void Promise.resolve().then(look);
  }, [look]);
  return { known, look };
}
