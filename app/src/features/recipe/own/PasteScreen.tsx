import { readDraft } from '@hoddle/contract/readDraft';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { TextInput, View } from 'react-native';
import { v7 as uuidV7 } from 'uuid';
import { readFile } from '@/household/paper/files';
import { Key } from '@/ui/Key';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { usePageDrafts } from '@/store/pageDrafts';

/** A recipe as it stands in the book: typed or pasted, or a file of another program. It is read, and checked line by line. */
export function PasteScreen() {
  const router = useRouter();
  const { pasted, paste, change } = usePageDrafts();
  const [asked, setAsked] = useState(false);
  const read = (text: string) => {
    setAsked(true);
    if (text.trim() === '') return;
    const { processing, unread, ...page } = readDraft({ text });
    const id = uuidV7();
    // What it says of a canner stays to be read; minutes are only ever typed beside their page.
    change({ ...page, unread: [...unread, ...processing], id, revision: 1, draft: true });
    paste('');
    router.navigate({ pathname: '/bench/recipes/[id]', params: { id } });
  };
  return (
    <Screen
      station="bench"
      title="Write a recipe down"
      backTo="/bench/recipes"
      withoutStations
      foot={
        <View className="gap-2">
          {asked && pasted.trim() === '' && (
            <Words role="alert" weight={700}>
              Nothing stands there yet. A line for each ingredient, then the steps.
            </Words>
          )}
          <Key tall words="Read it" onPress={() => read(pasted)} />
          <Key
            look="outline"
            words="From a file"
            onPress={() =>
              void readFile('.json,.jsonld,.html,.txt,application/ld+json').then((file) => file && read(file.text))
            }
          />
        </View>
      }
    >
      <View className="max-w-[640px] gap-3">
        <Words>
          Type it or paste it as it stands in the book: the name, a line for each ingredient, then the steps. It is read
          into a recipe, and each line is shown as it was understood.
        </Words>
        <TextInput
          aria-label="The recipe as it stands in the book"
          value={pasted}
          onChangeText={paste}
          multiline
          numberOfLines={14}
          autoComplete="off"
          className="min-h-[320px] rounded-key border-2 border-key-edge bg-plate px-3 py-2 font-medium text-body text-ink"
          style={{ textAlignVertical: 'top' }}
        />
      </View>
    </Screen>
  );
}
