import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { Plate } from '@/ui/Plate';
import { SmallKey } from '@/ui/SmallKey';

interface AnswerPlateProps {
  /** The answer as one text, for whoever writes it on a card or sends it on. */
  text: string;
  children: ReactNode;
}

/** The answer, said aloud as it changes, with a key that copies it as text. */
export function AnswerPlate({ text, children }: AnswerPlateProps) {
  const [copied, setCopied] = useState<string>();
  const copy = () => {
    // Where the browser gives no clipboard (plain http), the text is still there to be selected.
    void navigator.clipboard?.writeText(text).then(() => setCopied(text));
  };
  return (
    <Plate className="gap-3">
      <View role="status" aria-live="polite" className="gap-2">
        {children}
      </View>
      <View className="items-start">
        <SmallKey words={copied === text ? 'Copied' : 'Copy'} onPress={copy} />
      </View>
    </Plate>
  );
}
