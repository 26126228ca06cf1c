import { useCallback, useEffect, useRef, useState } from 'react';

export type CameraState =
  | { kind: 'asking' }
  | { kind: 'on'; torch: boolean | undefined }
  /** Why it is not to be had, in a sentence. */
  | { kind: 'without'; why: string };

const NOT_SECURE =
  'A browser lends its camera only to a page that came over https. Start Hoddle with HODDLE_TLS=auto, or type the code.';
const WHY: Readonly<Record<string, string>> = {
  NotAllowedError: 'The camera was refused. Allow it for this page in the browser’s settings, or type the code.',
  NotFoundError: 'This device has no camera. Type the code.',
  OverconstrainedError: 'This device has no camera that will do. Type the code.',
  NotReadableError: 'Another program has the camera. Close it and try again, or type the code.',
};

/** The camera on the far side, shown in `video` while the screen is open; its lamp where it has one. */
export function useCamera() {
  const video = useRef<HTMLVideoElement>(null);
  const track = useRef<MediaStreamTrack>(undefined);
  const [state, setState] = useState<CameraState>({ kind: 'asking' });
  useEffect(() => {
    let isWanted = true;
    let stream: MediaStream | undefined;
    const open = async () => {
      const devices = navigator.mediaDevices as MediaDevices | undefined;
      if (!devices) return setState({ kind: 'without', why: NOT_SECURE });
      try {
        stream = await devices.getUserMedia({
          video: { facingMode: { ideal: 'environment' }, width: { ideal: 1_280 }, height: { ideal: 720 } },
        });
      } catch (error) {
        const name = error instanceof DOMException ? error.name : '';
        if (isWanted) setState({ kind: 'without', why: WHY[name] ?? 'The camera does not open. Type the code.' });
        return;
      }
      if (!isWanted || !video.current) return stop(stream);
      [track.current] = stream.getVideoTracks();
      video.current.srcObject = stream;
      await video.current.play().catch(() => undefined);
      const can = track.current?.getCapabilities?.() as { torch?: boolean } | undefined;
      setState({ kind: 'on', torch: can?.torch === true ? false : undefined });
    };
    void open();
    return () => {
      isWanted = false;
      if (stream) stop(stream);
    };
  }, []);
  const light = useCallback((torch: boolean) => {
    void track.current
      ?.applyConstraints({ advanced: [{ torch } as MediaTrackConstraintSet] })
      .then(() => setState({ kind: 'on', torch }))
      .catch(() => undefined);
  }, []);
  return { video, state, light };
}

function stop(stream: MediaStream): void {
  for (const track of stream.getTracks()) track.stop();
}
