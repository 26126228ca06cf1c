import { type JarSize } from '@hoddle/core/handbook/jars';
import { memo, useId } from 'react';
import { View } from 'react-native';
import Svg, { Defs, G, Path, Use } from 'react-native-svg';
import { COLOURS, type Mark } from '@/ui/colours';
import { JarDefs, JarFigure } from '@/ui/JarDrawing';
import { jarShape } from '@/ui/jarShape';
import { Words } from '@/ui/Words';
import { BEHIND, type JarFile } from './jarFiles';

interface JarFilesProps {
  files: readonly JarFile[];
  width: number;
  jar: JarSize;
  hue: string;
  mark: Mark;
  quartPx: number;
  /** Only what lies between these is drawn: a board can be longer than the screen. */
  from: number;
  to: number;
}

const TAG_PX = 22;
/** A file that begins this far before the window still reaches into it. */
const REACH_PX = 90;

/** Files of jars side by side on one scale; each jar is one stamp of a drawing made once. */
export const JarFiles = memo(function JarFiles({ files, width, jar, hue, mark, quartPx, from, to }: JarFilesProps) {
  const patternId = useId().replaceAll(':', '');
  const shape = jarShape(jar, quartPx);
  const deepest = Math.max(1, ...files.map((file) => file.looks.length));
  const top = TAG_PX + 4 - BEHIND.y * (deepest - 1);
  const height = top + shape.height;
  const drawn = files.filter(({ x }) => x > from - REACH_PX && x < to);
  const looks = [...new Set(drawn.flatMap((file) => file.looks))];
  return (
    <View style={{ width, height }}>
      <Svg width={width} height={height + 1} aria-hidden style={{ position: 'absolute' }}>
        <JarDefs patternId={patternId} hue={hue} mark={mark} />
        <Defs>
          {looks.map((look) => (
            <G key={look} id={`${patternId}-${look}`}>
              <JarFigure size={jar} quartPx={quartPx} hue={hue} mark={mark} look={look} patternId={patternId} />
            </G>
          ))}
        </Defs>
        {drawn.map((file) =>
          file.looks
            .map((look, depth) => ({ look, depth }))
            .reverse()
            .map(({ look, depth }) => (
              <Use
                key={`${file.x} ${depth}`}
                href={`#${patternId}-${look}`}
                x={file.x + depth * BEHIND.x}
                y={top + depth * BEHIND.y - 1}
              />
            )),
        )}
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

function tagY(file: JarFile, top: number): number {
  return top + (file.looks.filter((look) => look === 'here').length - 1) * BEHIND.y - 13;
}
