import { OpenAddressesReply, type OpenAddressRequest } from '@hoddle/contract/paper';
import { useCallback, useEffect, useState } from 'react';
import * as v from 'valibot';
import { ask, askTo } from '@/store/api';
import { reachedAt } from '@/store/shell/reachedAt';

/** 256 random bits as text that stands in an address. */
export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(32));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/, '');
}

/** Where an address leads, as others of the house type it. @param addresses where other devices reach the server */
export function addressOf(key: string, ending: '' | '.ics', addresses: readonly string[]): string {
  return `${reachedAt(addresses)}/open/${key}${ending}`;
}

/** Opens an address; the sentence why not, where it is not. */
export async function openAddress(request: OpenAddressRequest): Promise<string | undefined> {
  const answer = await askTo('POST', '/open-addresses', request);
  return answer.kind === 'done' ? undefined : answer.message;
}

const Refused = v.object({ error: v.object({ message: v.string() }) });

/**
 * Addresses that are open, and those that were; asked anew with `look`. Undefined until the server has answered; where this device may
 * not see them, the sentence that says so.
 */
export function useOpenAddresses() {
  const [known, setKnown] = useState<OpenAddressesReply>();
  const [refused, setRefused] = useState<string>();
  const look = useCallback(async () => {
    const told = await ask('/open-addresses', [200, 403]);
    if (v.is(OpenAddressesReply, told)) setKnown(told);
    if (v.is(Refused, told)) setRefused(told.error.message);
  }, []);
  useEffect(() => {
    void Promise.resolve().then(look);
  }, [look]);
  return { known, refused, look };
}
