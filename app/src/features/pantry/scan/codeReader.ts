import { type FrameAnswer } from '@/workers/scan.worker';
import { startScan } from '@/workers/startScan';

/** Finds codes in what a camera sees. */
export interface CodeReader {
  /** What stands in the codes of this moment's picture. */
  read(video: HTMLVideoElement): Promise<readonly string[]>;
  end(): void;
}

interface Detector {
  detect(source: CanvasImageSource): Promise<readonly { rawValue: string }[]>;
}
type DetectorClass = (new (options: { formats: string[] }) => Detector) & {
  getSupportedFormats?: () => Promise<string[]>;
};

/** The browser's own reader where it has one for these codes; otherwise the one that ships with the app, in a thread of its own. */
export async function codeReader(): Promise<CodeReader> {
  const own = (globalThis as { BarcodeDetector?: DetectorClass }).BarcodeDetector;
  const formats = (await own?.getSupportedFormats?.().catch(() => [])) ?? [];
  if (own && formats.includes('qr_code')) {
    const detector = new own({ formats: ['qr_code'] });
    return {
      read: async (video) => (await detector.detect(video).catch(() => [])).map(({ rawValue }) => rawValue),
      end: () => undefined,
    };
  }
  return shippedReader();
}

/** Wider pictures only take longer: a label fills a third of one. */
const MOST_WIDTH = 960;

function shippedReader(): CodeReader {
  const worker = startScan();
  const canvas = document.createElement('canvas');
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  let answered: ((answer: FrameAnswer) => void) | undefined;
  worker.onmessage = ({ data }: MessageEvent<FrameAnswer>) => answered?.(data);
  worker.onerror = () => answered?.([]);
  return {
    read: (video) =>
      new Promise((done) => {
        const scale = Math.min(1, MOST_WIDTH / video.videoWidth);
        const [width, height] = [Math.round(video.videoWidth * scale), Math.round(video.videoHeight * scale)];
        if (!pen || width === 0 || height === 0) return done([]);
        canvas.width = width;
        canvas.height = height;
        pen.drawImage(video, 0, 0, width, height);
        const { buffer } = pen.getImageData(0, 0, width, height).data;
        answered = done;
        worker.postMessage({ width, height, pixels: buffer }, [buffer]);
      }),
    end: () => worker.terminate(),
  };
}
