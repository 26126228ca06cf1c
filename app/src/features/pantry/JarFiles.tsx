import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { useId } from 'react';
import { View } from 'react-native';
import Svg, { G, Path } from 'react-native-svg';
import { monthAndYear } from '@/ui/clockWords';
import { COLOURS, type Mark } from '@/ui/colours';
import { JarDefs, JarFigure } from '@/ui/JarDrawing';
import { jarShape } from '@/ui/jarShape';
import { Words } from '@/ui/Words';

interface JarFilesProps {
  lots: readonly StockedLot[];
  jar: JarSize;
  hue: string;
  mark: Mark;
  quartPx: number;
  now: number;
}

/** Jars behind each other in a file, and how far each is moved. */
const DEEP = 6;
const BEHIND = { x: 2.9, y: -4.6 };
const TAG_PX = 22;
const TAG_WIDE_PX = 72;

interface JarFile {
  readonly jars: number;
  readonly month: string;
  readonly firstOfMonth: boolean;
  readonly past: boolean;
}

/** Files of jars, the oldest at the front left; each month starts a new file with its tag. */
export function JarFiles({ lots, jar, hue, mark, quartPx, now }: JarFilesProps) {
  const patternId = useId().replaceAll(':', '');
  const shape = jarShape(jar, quartPx);
  const files = filesOf(lots, now);
  const step = shape.width + DEEP * BEHIND.x + 6;
  const places = files.reduce<number[]>((xs, file, i) => {
    const before = files[i - 1];
    const previous = xs.at(-1) ?? 0;
    const tagRoom = before?.firstOfMonth && file.firstOfMonth ? Math.max(step, TAG_WIDE_PX) : step;
    return [...xs, i === 0 ? 0 : previous + tagRoom];
  }, []);
  const width = (places.at(-1) ?? 0) + Math.max(step, TAG_WIDE_PX) + 4;
  const top = TAG_PX + 4 - BEHIND.y * (DEEP - 1);
  const height = top + shape.height;
  return (
    <View style={{ width, height }}>
      <Svg width={width} height={height + 1} aria-hidden style={{ position: 'absolute' }}>
        <JarDefs patternId={patternId} hue={hue} mark={mark} />
        {files.map((file, i) =>
          Array.from({ length: file.jars }, (_, depth) => file.jars - 1 - depth).map((depth) => (
            <G key={`${i} ${depth}`} x={(places[i] ?? 0) + 2 + depth * BEHIND.x} y={top + depth * BEHIND.y - 1}>
              <JarFigure size={jar} quartPx={quartPx} hue={hue} mark={mark} look="here" patternId={patternId} />
            </G>
          )),
        )}
        {files.map((file, i) =>
          file.firstOfMonth ? (
            <Path
              key={`tag ${i}`}
              d={`M${(places[i] ?? 0) + 2} ${tagY(file, top)}l7 -9.500h58v19h-58Z`}
              fill={file.past ? COLOURS.ink : COLOURS.plate}
              stroke={COLOURS.ink}
              strokeWidth={1.6}
              strokeLinejoin="round"
            />
          ) : null,
        )}
      </Svg>
      {files.map((file, i) =>
        file.firstOfMonth ? (
          <View
            key={`words ${i}`}
            className="absolute"
            style={{ left: (places[i] ?? 0) + 13, top: tagY(file, top) - 9 }}
          >
            <Words size="small" weight={700} tone={file.past ? 'white' : 'ink'}>
              {file.month}
            </Words>
          </View>
        ) : null,
      )}
    </View>
  );
}

function tagY(file: JarFile, top: number): number {
  return top + (file.jars - 1) * BEHIND.y - 13;
}

function filesOf(lots: readonly StockedLot[], now: number): JarFile[] {
  const months: { month: string; jars: number; past: boolean }[] = [];
  for (const lot of lots) {
    const month = monthAndYear(lot.madeAt);
    const past = lot.keepsUntil < now;
    const same = months.find((other) => other.month === month && other.past === past);
    if (same) same.jars += lot.jars;
    else months.push({ month, jars: lot.jars, past });
  }
  return months.flatMap(({ month, jars, past }) =>
    Array.from({ length: Math.ceil(jars / DEEP) }, (_, i) => ({
      jars: Math.min(DEEP, jars - i * DEEP),
      month,
      firstOfMonth: i === 0,
      past,
    })),
  );
}
