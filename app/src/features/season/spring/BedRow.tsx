import { sowingRow } from '@hoddle/core/handbook/sowing';
import { type Spring } from './useSpring';
import { type SpringBed } from '@hoddle/core/season/spring/planSpring';
import { useId } from 'react';
import { View } from 'react-native';
import Svg, { Defs, Line, Rect } from 'react-native-svg';
import { countWords } from '@/household/harvest/bedWords';
import { useMassWords } from '@/store/useUnits';
import { COLOURS, hueOfCrop } from '@/ui/colours';
import { CropGlyph } from '@/ui/CropGlyph';
import { HatchPattern } from '@/ui/patterns';
import { Words } from '@/ui/Words';
import { asNowWords, basisWords, cropWords, setWords, takenByWords } from './springWords';

/** One crop of the coming garden: how many to set, what those of now come to, and for which jars. */
export function BedRow({ bed, jars }: { bed: SpringBed; jars: Spring['jars'] }) {
  const mass = useMassWords();
  const { bearsAfterYears } = sowingRow(bed.crop);
  return (
    <View role="listitem" className="flex-row gap-3 border-t border-hair py-3">
      <CropGlyph crop={bed.crop} />
      <View className="flex-1 gap-1">
        <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
          <Words weight={800} size="lead">
            {cropWords(bed)}
          </Words>
          <Words weight={700}>{verdict(bed, bearsAfterYears)}</Words>
        </View>
        <BedBar bed={bed} />
        <Words>{asNowWords(bed, mass)}</Words>
        {bearsAfterYears !== undefined && bed.more > 0 && (
          <Words size="label">
            What is missing is bought or given until then: one set now bears well after about {bearsAfterYears}{' '}
            {bearsAfterYears === 1 ? 'year' : 'years'}.
          </Words>
        )}
        <Words size="label" tone="ink-2">
          For {takenByWords(bed, jars)}
          {bed.freshKg > 0.5 ? `, and ${mass(bed.freshKg)} eaten fresh or given` : ''}; {mass(bed.needKg.p50)} in all,{' '}
          {basisWords(bed)}
        </Words>
      </View>
    </View>
  );
}

/** What is to be done, in a word or two. */
function verdict(bed: SpringBed, bearsAfterYears: number | undefined): string {
  if (bearsAfterYears === undefined) return `set ${setWords(bed)}`;
  return bed.more > 0 ? `${countWords({ count: bed.more, unit: bed.unit })} more` : 'enough';
}

const BAR_PX = 14;

/** The bed along its row: what grows there now solid, what comes to it hatched, what need not be set again dashed. */
function BedBar({ bed: { crop, now, set } }: { bed: SpringBed }) {
  const id = useId().replaceAll(':', '');
  const { hue } = hueOfCrop(crop);
  const most = Math.max(now, set, 1);
  const at = (count: number) => `${(100 * count) / most}%`;
  const kept = Math.min(now, set);
  return (
    <Svg width="100%" height={BAR_PX} aria-hidden>
      <Defs>
        <HatchPattern id={id} hue={hue} />
      </Defs>
      <Rect
        x={0.5}
        y={0.5}
        width="99.6%"
        height={BAR_PX - 3}
        fill="none"
        stroke={COLOURS.keyEdge}
        strokeDasharray="3 3"
      />
      <Rect x={0} y={0} width={at(set)} height={BAR_PX - 2} fill={`url(#${id})`} stroke={hue} strokeWidth={1.4} />
      <Rect x={0} y={0} width={at(kept)} height={BAR_PX - 2} fill={hue} />
      <Line x1={0} x2="100%" y1={BAR_PX - 1} y2={BAR_PX - 1} stroke={COLOURS.ink} strokeWidth={1.4} />
    </Svg>
  );
}
