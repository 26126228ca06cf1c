import QRCode from 'qrcode';
import { useMemo } from 'react';
import Svg, { Path, Rect } from 'react-native-svg';
import { COLOURS } from '@/ui/colours';

/** Light squares round a code, so that a camera finds its edge (ISO/IEC 18004: four). */
const QUIET = 4;

/** A text as a code for a camera, drawn to the pixel. */
export function QrCode({ text, label, size = 232 }: { text: string; label: string; size?: number }) {
  const { path, side } = useMemo(() => {
    const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
    const squares = Array.from(modules.data).flatMap((dark, at) =>
      dark ? [`M${(at % modules.size) + QUIET} ${Math.floor(at / modules.size) + QUIET}h1v1h-1z`] : [],
    );
    return { path: squares.join(''), side: modules.size + 2 * QUIET };
  }, [text]);
  return (
    <Svg width={size} height={size} viewBox={`0 0 ${side} ${side}`} role="img" aria-label={label}>
      <Rect width={side} height={side} fill={COLOURS.white} />
      <Path d={path} fill={COLOURS.ink} />
    </Svg>
  );
}
