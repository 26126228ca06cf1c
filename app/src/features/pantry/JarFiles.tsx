import { type JarSize } from '@hoddle/core/handbook/jars';
import { memo, useDeferredValue, useId } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { COLOURS, type Mark } from '@/ui/colours';
import { JarDefs, JarFigures } from '@/ui/JarDrawing';
import { jarShape } from '@/ui/jarShape';
import { Words } from '@/ui/Words';
import { BEHIND, type JarFile } from './jarFiles';

export interface JarFilesProps {
  files: readonly JarFile[];
  width: number;
  jar: JarSize;
  hue: string;
  mark: Mark;
  quartPx: number;
  /** Only what lies between these is drawn: a board can be longer than the screen. */
  from: number;
  to: number;
  /** Drawn with the screen. */
  atOnce: boolean;
}

const TAG_PX = 22;
/** A file that begins this far before the window still reaches into it. */
const REACH_PX = 90;

/** Files of jars side by side on one scale; jars of one depth and look are drawn as one. */
export const JarFiles = memo(function JarFiles({
  files,
  width,
  jar,
  hue,
  mark,
  quartPx,
  from,
  to,
  atOnce,
}: JarFilesProps) {
  const patternId = useId().replaceAll(':', '');
  const { deepest, top, height } = sizeOf(files, jar, quartPx);
  // What scrolls into reach gets its room first and its jars a pause later.
  const isDrawn = useDeferredValue(true, atOnce);
  if (!isDrawn) return <View style={{ width, height }} />;
  const drawn = files.filter(({ x }) => x > from - REACH_PX && x < to);
  // Files stand side by side: jars of one depth never overlap, and those behind are drawn first.
  const layers = Array.from({ length: deepest }, (_, i) => deepest - 1 - i).flatMap((depth) =>
    LOOKS.map((look) => ({
      ...{ depth, look },
      corners: drawn
        .filter(({ looks }) => looks[depth] === look)
        .map(({ x }) => ({ x: x + depth * BEHIND.x, y: top + depth * BEHIND.y - 1 })),
    })).filter(({ corners }) => corners.length > 0),
  );
  return (
    <View style={{ width, height }}>
      <Svg width={width} height={height} aria-hidden style={{ position: 'absolute' }}>
        <JarDefs patternId={patternId} hue={hue} mark={mark} />
        {layers.map(({ depth, look, corners }) => (
          <JarFigures key={`${depth} ${look}`} {...{ size: jar, quartPx, hue, look, patternId, corners }} />
        ))}
        {drawn.map((file) =>
          file.tag ? (
            <Path
              key={`tag ${file.x}`}
              d={`M${file.x} ${tagY(file, top)}l7 -9.500h72v19h-72Z`}
              fill={file.tag.past ? COLOURS.ink : COLOURS.plate}
              stroke={COLOURS.ink}
              strokeWidth={1.6}
              strokeLinejoin="round"
            />
          ) : null,
        )}
      </Svg>
      {drawn.map((file) =>
        file.tag ? (
          <View key={`words ${file.x}`} className="absolute" style={{ left: file.x + 11, top: tagY(file, top) - 9 }}>
            <Words size="small" weight={700} tone={file.tag.past ? 'white' : 'ink'}>
              {file.tag.month}
            </Words>
          </View>
        ) : null,
      )}
    </View>
  );
});

function sizeOf(files: readonly JarFile[], jar: JarSize, quartPx: number) {
  const deepest = Math.max(1, ...files.map((file) => file.looks.length));
  const top = TAG_PX + 4 - BEHIND.y * (deepest - 1);
  return { deepest, top, height: top + jarShape(jar, quartPx).height + 1 };
}

const LOOKS = ['here', 'planned', 'gap'] as const satisfies readonly JarFile['looks'][number][];

function tagY(file: JarFile, top: number): number {
  return top + (file.looks.filter((look) => look === 'here').length - 1) * BEHIND.y - 13;
}
