import { type Household } from '@hoddle/contract/household';
import { isPressure } from '@hoddle/core/canner/canner';
import { View } from 'react-native';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Words } from '@/ui/Words';

type Canner = Household['canners'][number];

const WATTS = { least: 600, most: 6_000, step: 200 } as const;

/** How a canner is heated and what else it serves: what a day's burners and heat-ups go by. */
export function HeatPart({ canner, onKeep }: { canner: Canner; onKeep: (part: Partial<Canner>) => void }) {
  const { method, layers, electric, burnerWatts, alsoBoilingWater, timesItself, lidLocks } = canner;
  const pressure = isPressure(method);
  return (
    <View className="gap-3">
      <Heading>Heat and layers</Heading>
      {pressure && (
        <>
          <Choice
            label="Its gauge"
            value={method}
            onChoose={(next) => onKeep({ method: next })}
            options={[
              { value: 'pressure-weighted', words: 'weight' },
              { value: 'pressure-dial', words: 'dial' },
            ]}
          />
          <Choice
            label="As a boiling-water pot"
            value={alsoBoilingWater ? 'yes' : 'no'}
            onChoose={(next) => onKeep({ alsoBoilingWater: next === 'yes' })}
            options={[
              { value: 'yes', words: 'a pot too, weight off' },
              { value: 'no', words: 'pressure only' },
            ]}
          />
        </>
      )}
      <Choice
        label="Layers of small jars"
        value={layers === 2 ? 'two' : 'one'}
        onChoose={(next) => onKeep({ layers: next === 'two' ? 2 : 1 })}
        options={[
          { value: 'one', words: 'one layer' },
          { value: 'two', words: 'two where they fit' },
        ]}
      />
      {!pressure && (
        <Choice
          label="Where its heat comes from"
          value={electric ? 'own' : 'burner'}
          onChoose={(next) => onKeep({ electric: next === 'own' })}
          options={[
            { value: 'burner', words: 'a burner' },
            { value: 'own', words: 'its own, no burner' },
          ]}
        />
      )}
      {!pressure && (
        <>
          <Choice
            label="Its lid while it heats"
            value={lidLocks ? 'locked' : 'opens'}
            onChoose={(next) => onKeep({ lidLocks: next === 'locked' })}
            options={[
              { value: 'opens', words: 'can be lifted' },
              { value: 'locked', words: 'locks, boil unseen' },
            ]}
          />
          {lidLocks && !timesItself && (
            <Words>
              Nobody can see when it boils, so no tested time can be counted on it. Say that it times itself, if its own
              instructions have tested times; else it is not offered for jars.
            </Words>
          )}
        </>
      )}
      {!pressure && (
        <Choice
          label="Who minds its clock"
          value={timesItself ? 'itself' : 'cook'}
          onChoose={(next) => onKeep({ timesItself: next === 'itself' })}
          options={[
            { value: 'cook', words: 'the cook' },
            { value: 'itself', words: 'it times itself' },
          ]}
        />
      )}
      <Stepper
        label="Heat that reaches it, in watts"
        words={`${burnerWatts.toLocaleString('en-US')} watts`}
        onLess={burnerWatts > WATTS.least ? () => onKeep({ burnerWatts: burnerWatts - WATTS.step }) : undefined}
        onMore={burnerWatts < WATTS.most ? () => onKeep({ burnerWatts: burnerWatts + WATTS.step }) : undefined}
      />
      <Words size="label" tone="ink-2">
        How long it heats is reckoned by this until it has been used; then it goes by what it took.
      </Words>
    </View>
  );
}
