import { DrawnCode } from '@hoddle/contract/labels';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import * as v from 'valibot';
import { askTo } from '@/store/api';
import { COLOURS } from '@/ui/colours';

/** A text as a code for a camera; the server draws it, since only what leads to the server is ever drawn here. */
export function QrCode({ text, label, size = 232 }: { text: string; label: string; size?: number }) {
  const [drawn, setDrawn] = useState<DrawnCode & { of: string }>();
  useEffect(() => {
    let isWanted = true;
    void askTo('POST', '/codes', { words: text }).then((answer) => {
      const read = answer.kind === 'done' ? v.safeParse(DrawnCode, answer.body) : undefined;
      if (isWanted && read?.success) setDrawn({ ...read.output, of: text });
    });
    return () => {
      isWanted = false;
    };
  }, [text]);
  if (drawn?.of !== text) return <View style={{ width: size, height: size }} />;
  const { side, path } = drawn;
  return (
    <Svg width={size} height={size} viewBox={`0 0 ${side} ${side}`} role="img" aria-label={label}>
      <Rect width={side} height={side} fill={COLOURS.white} />
      <Path d={path} fill={COLOURS.ink} />
    </Svg>
  );
}
