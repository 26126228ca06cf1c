import { inZone } from '@/store/householdZone';
import { type ReportedDay } from '@hoddle/core/season/report/seasonReport';
import { area, curveMonotoneX, line } from 'd3-shape';
import { format } from 'date-fns/format';
import { useId, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, ClipPath, Defs, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useMassWords } from '@/store/useUnits';
import { COLOURS, hueOfCrop } from '@/ui/colours';
import { HatchPattern } from '@/ui/patterns';
import { monthsOf, ribbonScale, tiersOf } from './ribbonLayout';
import { type CropWeeks } from './useCropWeeks';

/** A preserving day on the ribbon. */
export interface RibbonDay {
  readonly at: number;
  readonly crops: readonly string[];
  readonly kind: 'done' | 'open' | 'planned';
}

interface SeasonRibbonProps {
  rows: readonly CropWeeks[];
  days: readonly RibbonDay[];
  now: number;
  wide: boolean;
}

const DAY_MS = 24 * 60 * 60_000;
const HALF_WEEK_MS = 3.5 * DAY_MS;
const FOOT_PX = 24;
/** A week of many days takes more tiers than a quiet one. */
const LEAST_TIERS = 2;
const MOST_TIERS = 5;

/**
 * The season: one row per crop on one scale of weight, weeks from left to right, picked solid and expected hatched with its
 * 8 in 10 as a line; preserving days stand on top as plates with a stem to every crop they take.
 */
export function SeasonRibbon({ rows, days, now, wide }: SeasonRibbonProps) {
  const id = useId().replaceAll(':', '');
  const mass = useMassWords();
  const [width, setWidth] = useState(wide ? 720 : 358);
  const size = wide ? { row: 38, bell: 84, label: 150, plate: 34 } : { row: 34, bell: 62, label: 96, plate: 28 };
  const scale = ribbonScale(rows, days.map(({ at }) => at).concat(now), size.label, width - 14);
  const xs = days.map(({ at }) => scale.x(at));
  const tiers = tiersOf(xs, size.plate + 2, MOST_TIERS);
  const tierCount = Math.max(LEAST_TIERS, ...tiers.map((tier) => tier + 1));
  // The plates below are drawn over the stems of those above them.
  const fromTheTop = days
    .map((day, i) => ({ day, x: xs[i] ?? 0, tier: tiers[i] ?? 0 }))
    .sort((a, b) => b.tier - a.tier);
  const top = tierCount * (size.plate + 4) + 20;
  const height = top + rows.length * size.row + FOOT_PX;
  const mostKg = Math.max(
    1e-6,
    ...rows.flatMap(({ weeks }) => weeks.map((week) => week.pickedKg + week.expectedKg.p50)),
  );
  const floorOf = (row: number) => top + (row + 1) * size.row - 6;
  const px = (kg: number) => (kg / mostKg) * size.bell;
  const nowX = scale.x(now);
  return (
    <View
      role="img"
      aria-label={ribbonWords(rows, days, mass)}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
    >
      <Svg width={width} height={height} aria-hidden>
        <Defs>
          {rows.map(({ crop }) => (
            <HatchPattern key={crop} id={`${id}${crop}`} hue={hueOfCrop(crop).hue} />
          ))}
          <ClipPath id={`${id}past`}>
            <Rect x={0} y={0} width={Math.max(0, nowX)} height={height} />
          </ClipPath>
          <ClipPath id={`${id}coming`}>
            <Rect x={nowX} y={0} width={Math.max(0, width - nowX)} height={height} />
          </ClipPath>
        </Defs>
        {monthsOf(scale).map((at) => (
          <G key={at}>
            <Line
              x1={scale.x(at)}
              y1={top - 8}
              x2={scale.x(at)}
              y2={height - FOOT_PX}
              stroke={COLOURS.hair}
              strokeWidth={1.4}
            />
            <SvgText x={scale.x(at) + 3} y={height - 6} fill={COLOURS.ink2} fontSize={14} fontFamily="Atkinson600">
              {scale.x(at) < width - 34 ? format(inZone(at), 'MMM') : ''}
            </SvgText>
          </G>
        ))}
        {rows.map((row, i) => (
          <Bell
            key={row.crop}
            row={row}
            x={scale.x}
            floor={floorOf(i)}
            px={px}
            ids={id}
            right={width - 14}
            left={size.label}
          />
        ))}
        {rows.map((row, i) => (
          <G key={row.crop}>
            <SvgText x={0} y={floorOf(i) - 15} fill={COLOURS.ink} fontSize={wide ? 15 : 14} fontFamily="Atkinson700">
              {wide ? row.name : shortName(row.name)}
            </SvgText>
            <SvgText x={0} y={floorOf(i)} fill={COLOURS.ink2} fontSize={13} fontFamily="Atkinson500">
              {row.remainingKg.p50 < 0.2
                ? `${mass(row.pickedKg)}, all in`
                : `${mass(row.pickedKg)} of ${mass(row.pickedKg + row.remainingKg.p50)}`}
            </SvgText>
          </G>
        ))}
        <Line x1={nowX} y1={top - 16} x2={nowX} y2={height - FOOT_PX} stroke={COLOURS.cobalt} strokeWidth={3} />
        {fromTheTop.map(({ day, x, tier }) => (
          <DayPlate
            key={day.at}
            day={day}
            x={x}
            y={size.plate / 2 + 2 + (tierCount - 1 - tier) * (size.plate + 4)}
            radius={size.plate / 2}
            floors={rows.flatMap((row, at) => (day.crops.includes(row.crop) ? [floorOf(at)] : []))}
          />
        ))}
      </Svg>
    </View>
  );
}

interface BellProps {
  row: CropWeeks;
  x: (at: number) => number;
  floor: number;
  px: (kg: number) => number;
  ids: string;
  left: number;
  right: number;
}

/** One crop's weeks as a smooth hill: what was picked up to now, what is expected from now on. */
function Bell({ row: { crop, weeks }, x, floor, px, ids, left, right }: BellProps) {
  const { hue } = hueOfCrop(crop);
  const first = weeks[0];
  const last = weeks.at(-1);
  if (!first || !last) return null;
  const points = [
    { at: first.startAt - HALF_WEEK_MS, kg: 0 },
    ...weeks.map(({ startAt, pickedKg, expectedKg }) => ({
      at: startAt + HALF_WEEK_MS,
      kg: pickedKg + expectedKg.p50,
    })),
    { at: last.startAt + 3 * HALF_WEEK_MS, kg: 0 },
  ].map(({ at, kg }) => ({ x: Math.min(right, Math.max(left, x(at))), y: floor - px(kg) }));
  const hill = area<(typeof points)[number]>(
    (point) => point.x,
    floor,
    (point) => point.y,
  ).curve(curveMonotoneX)(points);
  const crest = line<(typeof points)[number]>(
    (point) => point.x,
    (point) => point.y,
  ).curve(curveMonotoneX)(points);
  const spread = weeks.filter(({ expectedKg }) => px(expectedKg.p90 - expectedKg.p10) > 4);
  return (
    <G>
      <Line x1={left} y1={floor} x2={right} y2={floor} stroke={COLOURS.edge} strokeWidth={1} />
      <Path d={hill ?? ''} fill={hue} clipPath={`url(#${ids}past)`} />
      <Path d={hill ?? ''} fill={`url(#${ids}${crop})`} clipPath={`url(#${ids}coming)`} />
      <Path d={crest ?? ''} fill="none" stroke={hue} strokeWidth={1.6} />
      {spread.map(({ startAt, pickedKg, expectedKg }) => (
        <Line
          key={startAt}
          x1={x(startAt + HALF_WEEK_MS)}
          x2={x(startAt + HALF_WEEK_MS)}
          y1={floor - px(pickedKg + expectedKg.p10)}
          y2={floor - px(pickedKg + expectedKg.p90)}
          stroke={COLOURS.cobalt}
          strokeWidth={1.6}
          strokeOpacity={0.55}
        />
      ))}
    </G>
  );
}

function DayPlate({
  day: { at, kind },
  x,
  y,
  radius,
  floors,
}: {
  day: RibbonDay;
  x: number;
  y: number;
  radius: number;
  floors: readonly number[];
}) {
  const open = kind === 'open';
  return (
    <G>
      {floors.length > 0 && (
        <Line
          x1={x}
          y1={y + radius}
          x2={x}
          y2={Math.max(...floors)}
          stroke={COLOURS.cobalt}
          strokeWidth={open ? 3 : 1.8}
          strokeDasharray={kind === 'planned' ? '3 3' : undefined}
        />
      )}
      {floors.map((floor) => (
        <Circle key={floor} cx={x} cy={floor} r={4} fill={COLOURS.plate} stroke={COLOURS.cobalt} strokeWidth={2.2} />
      ))}
      <Circle
        cx={x}
        cy={y}
        r={radius - 2}
        fill={open ? COLOURS.cobalt : COLOURS.plate}
        stroke={COLOURS.cobalt}
        strokeWidth={2.4}
      />
      <Circle
        cx={x}
        cy={y}
        r={radius - 5}
        fill="none"
        stroke={open ? COLOURS.plate : COLOURS.cobalt}
        strokeWidth={0.8}
      />
      <SvgText
        x={x}
        y={y + 5}
        textAnchor="middle"
        fill={open ? COLOURS.plate : COLOURS.cobalt}
        fontSize={14}
        fontFamily="Atkinson800"
      >
        {inZone(at).getDate()}
      </SvgText>
      {kind === 'done' && (
        <G>
          <Circle cx={x + radius - 4} cy={y - radius + 5} r={6.5} fill={COLOURS.ink} />
          <Path
            d={`M${x + radius - 7} ${y - radius + 5}l2.200 2.400l4 -4.600`}
            stroke={COLOURS.plate}
            strokeWidth={1.8}
            fill="none"
          />
        </G>
      )}
    </G>
  );
}

/** "Paste tomatoes" is "Tomatoes" beside a small ribbon. */
function shortName(name: string): string {
  const words = name.split(' ');
  const last = words.at(-1) ?? name;
  return name.length <= 13 ? name : last.charAt(0).toUpperCase() + last.slice(1);
}

function ribbonWords(rows: readonly CropWeeks[], days: readonly RibbonDay[], mass: (kg: number) => string): string {
  const crops = rows.map(({ name, pickedKg, remainingKg: { p10, p50, p90 } }) =>
    p50 < 0.2
      ? `${name}: ${mass(pickedKg)}, all in`
      : `${name}: ${mass(pickedKg)} picked, ${mass(p50)} to come, ${mass(p10)} to ${mass(p90)}`,
  );
  const dates = days.map(({ at, kind }) => `${format(inZone(at), 'd MMM')} ${kind === 'open' ? 'next' : kind}`);
  return `${crops.join('. ')}. Preserving days: ${dates.join(', ') || 'none'}.`;
}

/** The days of a plan as they stand on the ribbon. */
export function plannedOnRibbon(days: readonly ReportedDay[]): RibbonDay[] {
  return days.map(({ at, batches }) => ({
    at,
    kind: 'planned',
    crops: [...new Set(batches.flatMap(({ crops }) => crops.map(({ crop }) => crop)))],
  }));
}
