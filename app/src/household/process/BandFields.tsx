import { type Method } from '@hoddle/core/process/method';
import { bandsOf } from '@hoddle/core/process/withOwnSource';
import { View } from 'react-native';
import { TextField } from '@/ui/TextField';
import { Words } from '@/ui/Words';
import { type SourceDraft } from './readSourceDraft';

/** No pressure is ever taken from a dial up there; handbook rule 11. */
const DIAL_LIMIT_FT = 8_000;

interface BandFieldsProps {
  method: Method;
  bands: SourceDraft['bands'];
  onChange: (bands: SourceDraft['bands']) => void;
  wrong: boolean;
}

/** A field for the minutes of each altitude band, and under pressure one for the pounds. */
export function BandFields({ method, bands, onChange, wrong }: BandFieldsProps) {
  const pressure = method.startsWith('pressure');
  const offered = bandsOf(method).filter(({ aboveFt }) => method !== 'pressure-dial' || aboveFt < DIAL_LIMIT_FT);
  const change = (index: number, part: { minutes?: string; psi?: string }) =>
    onChange(offered.map((_, i) => ({ minutes: '', psi: '', ...bands[i], ...(i === index && part) })));
  return (
    <View className="gap-2">
      {offered.map((band, i) => (
        <View key={band.words} className="flex-row items-end gap-3">
          <Words className="flex-1 pb-4">{band.words}</Words>
          <View className="w-[108px]">
            <TextField
              label="min"
              spokenLabel={`Minutes ${band.words}`}
              value={bands[i]?.minutes ?? ''}
              onChange={(minutes) => change(i, { minutes })}
              numeric
              wrong={wrong}
            />
          </View>
          {pressure && (
            <View className="w-[108px]">
              <TextField
                label="psi"
                spokenLabel={`Pressure ${band.words}`}
                value={bands[i]?.psi ?? ''}
                onChange={(psi) => change(i, { psi })}
                numeric
                wrong={wrong}
              />
            </View>
          )}
        </View>
      ))}
    </View>
  );
}
