import { type Paper, paperText } from '@hoddle/core/formats/paper/paper';
import { useState } from 'react';
import { View } from 'react-native';
import { saveBlob, saveText } from '@/household/paper/files';
import { askForFile } from '@/store/api';
import { useUnits } from '@/store/useUnits';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { type Station } from '@/ui/StationIcon';
import { Words } from '@/ui/Words';
import { OpenPagePart } from './OpenPagePart';
import { PaperView } from './PaperView';
import { SENT_WORDS, sendWords } from '@/household/paper/sendWords';

interface PaperScreenProps {
  station: Station;
  backTo: string;
  paper: Paper;
  /** Of the file, without its ending. */
  file: string;
}

/** Something to print, send or show: as PDF, as text by whatever the phone sends with, as a page for others of the house. */
export function PaperScreen({ station, backTo, paper, file }: PaperScreenProps) {
  const page = useUnits() === 'metric' ? 'a4' : 'letter';
  const [said, setSaid] = useState<{ words: string; good: boolean }>();
  const [busy, setBusy] = useState(false);
  const print = async () => {
    setBusy(true);
    const made = await askForFile('/papers', { paper, page });
    setBusy(false);
    if (made.kind !== 'file') return setSaid({ words: made.message, good: false });
    saveBlob(made.file, `${file}.pdf`);
    setSaid({ words: 'The PDF is saved.', good: true });
  };
  const send = async () => {
    const words = SENT_WORDS[await sendWords(paper.title, paperText(paper))];
    setSaid(words === '' ? undefined : { words, good: true });
  };
  return (
    <Screen
      station={station}
      title={paper.title}
      backTo={backTo}
      foot={
        <View className="gap-2">
          {said && (
            <Words role={said.good ? 'status' : 'alert'} weight={700}>
              {said.words}
            </Words>
          )}
          <View className="flex-row gap-3">
            <Key
              className="flex-1"
              words={busy ? 'Making it' : 'Save as PDF'}
              disabled={busy}
              onPress={() => void print()}
            />
            <Key className="flex-1" look="outline" words="Send as text" onPress={() => void send()} />
          </View>
        </View>
      }
    >
      <View className="max-w-[760px] gap-5">
        <PaperView paper={paper} />
        {paper.recipe && (
          <Key
            look="outline"
            words="The recipe as a file (JSON-LD)"
            onPress={() => saveText(JSON.stringify(paper.recipe, null, 2), `${file}.jsonld`, 'application/ld+json')}
          />
        )}
        <OpenPagePart paper={paper} page={page} />
      </View>
    </Screen>
  );
}
