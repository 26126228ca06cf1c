import { DevicesReply, Me } from '@hoddle/contract/device';
import { useCallback, useEffect, useState } from 'react';
import * as v from 'valibot';
import { ask } from '@/store/api';

interface Known {
  readonly me: Me;
  /** Only an owner is told. */
  readonly devices?: DevicesReply;
}

/** Who asks, and who may come in; asked anew with `look`. Undefined until the server has answered. */
export function useDevices(): { known: Known | undefined; look: () => Promise<void> } {
  const [known, setKnown] = useState<Known>();
  const look = useCallback(async () => {
    const me = v.safeParse(Me, await ask('/me'));
    if (!me.success) return;
    const devices = me.output.role === 'owner' ? v.safeParse(DevicesReply, await ask('/devices')) : undefined;
    setKnown({ me: me.output, ...(devices?.success && { devices: devices.output }) });
  }, []);
  useEffect(() => {
    void Promise.resolve().then(look);
  }, [look]);
  return { known, look };
}
