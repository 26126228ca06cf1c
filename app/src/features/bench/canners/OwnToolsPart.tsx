import { type Kitchen } from '@hoddle/contract/household';
import { stepOf } from '@hoddle/core/handbook/steps';
import { useState } from 'react';
import { View } from 'react-native';
import { ChipRadio } from '@/ui/ChipRadio';
import { Key } from '@/ui/Key';
import { Stepper } from '@/ui/Stepper';
import { TextField } from '@/ui/TextField';
import { TextKey } from '@/ui/TextKey';
import { Words } from '@/ui/Words';

/** Steps that a household has a machine for, if it has one. Common practice. */
const STEPS = ['chop', 'slice', 'shred', 'pit', 'peel-core', 'stem', 'shell', 'cut-kernels', 'crush-heat', 'drain'];

type Tool = Kitchen['tools'][number];

/** Tools the household names itself, each with the step that waits for it. */
export function OwnToolsPart({ tools, onKeep }: { tools: readonly Tool[]; onKeep: (tools: Tool[]) => void }) {
  const [adding, setAdding] = useState(false);
  return (
    <View className="gap-3">
      <View role="list" aria-label="Tools of your own">
        {tools.map((tool) => (
          <View key={tool.name} role="listitem" className="gap-1 border-t border-hair py-1">
            <View className="flex-row items-center">
              <Words className="flex-1">
                <Words weight={700}>{tool.name}</Words>: {stepOf(tool.step).plainWords.toLowerCase()}
              </Words>
              <TextKey
                words="Strike out"
                label={`Strike out ${tool.name}`}
                onPress={() => onKeep(tools.filter((other) => other !== tool))}
              />
            </View>
            <Stepper
              label={tool.name}
              words={String(tool.count)}
              onLess={tool.count > 1 ? () => onKeep(withCount(tools, tool, tool.count - 1)) : undefined}
              onMore={tool.count < 12 ? () => onKeep(withCount(tools, tool, tool.count + 1)) : undefined}
            />
          </View>
        ))}
      </View>
      {adding ? (
        <ToolDraft
          taken={tools.map(({ name }) => name)}
          onKeep={(tool) => {
            onKeep([...tools, tool]);
            setAdding(false);
          }}
        />
      ) : (
        <Key look="outline" words="Name a tool of your own" onPress={() => setAdding(true)} />
      )}
    </View>
  );
}

function withCount(tools: readonly Tool[], tool: Tool, count: number): Tool[] {
  return tools.map((other) => (other === tool ? { ...tool, count } : other));
}

function ToolDraft({ taken, onKeep }: { taken: readonly string[]; onKeep: (tool: Tool) => void }) {
  const [name, setName] = useState('');
  const [step, setStep] = useState('chop');
  const isTaken = taken.includes(name.trim());
  return (
    <View className="gap-3">
      <TextField label="Its name" spokenLabel="The tool’s name" value={name} onChange={setName} wrong={isTaken} />
      {isTaken && <Words role="alert">There is a {name.trim()} already. Count it up instead.</Words>}
      <View role="radiogroup" aria-label="The step that waits for it" className="flex-row flex-wrap gap-2">
        {STEPS.map((each) => (
          <ChipRadio key={each} words={stepOf(each).words} chosen={each === step} onPress={() => setStep(each)} />
        ))}
      </View>
      <Key
        words="Keep this tool"
        disabled={name.trim() === '' || isTaken}
        onPress={() => onKeep({ name: name.trim(), count: 1, step })}
      />
    </View>
  );
}
