import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { pageToJsonLd } from '@hoddle/core/formats/recipeToJsonLd';
import { isOwnProduct, ownProductId } from '@hoddle/core/handbook/ownIds';
import { type OwnRecipe } from '@hoddle/core/process/ownRecipe';
import { changedBeyond } from '@hoddle/core/process/changedPage';
import { recipesOf } from '@hoddle/core/recipe/cardColumns';
import { type ChangeVerdict } from '@hoddle/core/recipe/change';
import { type RecipeFault, recipeFaults } from '@hoddle/core/process/recipeFaults';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { saveText } from '@/household/paper/files';
import { useHouseholdStore } from '@/store/householdStore';
import { useHousehold } from '@/store/useHousehold';
import { COLOURS } from '@/ui/colours';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { SmallKey } from '@/ui/SmallKey';
import { useIsWide } from '@/ui/StationBar';
import { TextField } from '@/ui/TextField';
import { Heading, Words } from '@/ui/Words';
import { BecomesPart } from './BecomesPart';
import { FillingsPart } from './FillingsPart';
import { LinesPart } from './LinesPart';
import { usePageDrafts } from '@/store/pageDrafts';
import { SourceForm } from './SourceForm';
import { StepsPart } from './StepsPart';
import { UnreadPart } from './UnreadPart';
import { useOwnRecipe } from '@/household/recipe/useOwnRecipes';
import { YieldPart } from './YieldPart';

/** One recipe of the household's own: every line as it was understood, the steps, what it may become. */
export function PageScreen({ id }: { id: string }) {
  const kept = useOwnRecipe(id);
  const draft = usePageDrafts((store) => store.drafts[id]);
  const page = draft ?? kept;
  if (!page) {
    return (
      <Screen station="bench" title="No such recipe" backTo="/bench/recipes">
        <Words>It may have been struck out on another screen.</Words>
      </Screen>
    );
  }
  return <Page key={page.id} page={page} kept={kept} isChanged={draft !== undefined} />;
}

function Page({ page, kept, isChanged }: { page: OwnRecipe; kept: OwnRecipe | undefined; isChanged: boolean }) {
  const router = useRouter();
  const wide = useIsWide();
  const { change: keepDraft, forget } = usePageDrafts();
  const enter = useHouseholdStore((store) => store.enter);
  const [faults, setFaults] = useState<readonly RecipeFault[]>([]);
  const change = (part: Partial<OwnRecipe>) => keepDraft({ ...page, ...part });
  const [asked, setAsked] = useState<readonly ChangeVerdict[]>([]);
  const keep = (isDraft: boolean, isSure = false) => {
    const pack = page.steps.some(({ entry }) => entry === 'raw-pack') ? 'raw' : 'hot';
    const recipe: OwnRecipe = { ...page, pack, draft: isDraft, revision: (kept?.revision ?? 0) + 1 };
    const found = recipeFaults(recipe);
    setFaults(found);
    if (found.length > 0) return;
    const beyond = isDraft || isSure ? [] : changedBeyond(kept, recipe);
    setAsked(beyond);
    if (beyond.length > 0) return;
    void enter({ kind: 'recipe', recipe });
    forget(page.id);
    if (isDraft) router.navigate('/bench/recipes');
  };
  const open = page.lines.filter((line) => line.open !== undefined).length;
  const isReady = !isChanged && !page.draft;
  return (
    <Screen
      station="bench"
      title={page.name === '' ? 'A recipe of our own' : page.name}
      note={`${page.lines.length} ${page.lines.length === 1 ? 'line' : 'lines'}, ${open} open; ${page.steps.length} steps`}
      backTo="/bench/recipes"
      withoutStations
      foot={
        <View className="gap-2">
          <FaultLines faults={faults} />
          {asked.length > 0 && (
            <AskChanged
              asked={asked}
              onCorrected={() => keep(false, true)}
              onOwn={() => {
                setAsked([]);
                keepDraft(withoutSource(page));
              }}
            />
          )}
          {isReady ? (
            <Key
              tall
              words="Make it"
              onPress={() => router.navigate({ pathname: '/plan/own/[recipeId]', params: { recipeId: page.id } })}
            />
          ) : (
            <View className="flex-row gap-2">
              <View className="flex-1">
                <Key tall words="Keep it" onPress={() => keep(false)} />
              </View>
              <View className="flex-1">
                <Key tall look="outline" words="Keep half done" onPress={() => keep(true)} />
              </View>
            </View>
          )}
        </View>
      }
    >
      <View className={wide ? 'flex-row gap-10' : 'gap-5'}>
        <View className={`gap-5 ${wide ? 'flex-1' : ''}`}>
          <TextField
            label="What it is called"
            value={page.name}
            onChange={(name) => change({ name })}
            wrong={faults.some(({ field }) => field === 'name')}
          />
          <LinesPart page={page} onChange={(lines) => change({ lines })} />
          <UnreadPart page={page} onChange={change} />
        </View>
        <View className={`gap-5 ${wide ? 'flex-1' : ''}`}>
          <StepsPart steps={page.steps} onChange={(steps) => change({ steps })} />
          <YieldPart page={page} onChange={change} />
          <FillingsPart page={page} onChange={change} />
          <SourceForm
            page={page}
            onChange={(source) => keepDraft(source ? { ...page, source } : withoutSource(page))}
            wrong={faults.flatMap(({ field }) => (field.startsWith('source.') ? [field.slice('source.'.length)] : []))}
          />
          <Plate className="gap-3">
            <Heading>What it may become</Heading>
            <BecomesPart page={page} />
          </Plate>
          <PageKeys page={page} isChanged={isChanged} isKept={kept !== undefined} />
        </View>
      </View>
    </Screen>
  );
}

function withoutSource({ source: _, ...page }: OwnRecipe): OwnRecipe {
  return page;
}

/** A tested recipe was changed further than its time bears: was it read wrong, or is it another recipe now? */
function AskChanged({
  asked,
  onCorrected,
  onOwn,
}: {
  asked: readonly ChangeVerdict[];
  onCorrected: () => void;
  onOwn: () => void;
}) {
  return (
    <View role="alert" className="gap-2">
      {asked.slice(0, 3).map(({ line, tested, reason, change }) => (
        <Words key={`${change} ${line ?? tested ?? ''}`} weight={600}>
          {line ?? tested}: {reason}
        </Words>
      ))}
      <Key look="outline" words="The page says it so: corrected" onPress={onCorrected} />
      <Key look="outline" words="Our own change: untested from now on" onPress={onOwn} />
    </View>
  );
}

/** What of the page may not be, each with its rule; nothing of what was typed is gone. */
function FaultLines({ faults }: { faults: readonly RecipeFault[] }) {
  if (faults.length === 0) return null;
  return (
    <View role="alert" className="flex-row items-start gap-2">
      <TriangleAlert size={24} color={COLOURS.ink} strokeWidth={2.2} />
      <View className="flex-1 gap-1">
        {faults.map(({ field, reason }) => (
          <Words key={`${field} ${reason}`} weight={700}>
            {reason}
          </Words>
        ))}
        <Words size="small" tone="ink-2">
          Nothing is kept yet; what was typed stays. Without its tested page, or half done, it can be kept as it is.
        </Words>
      </View>
    </View>
  );
}

function PageKeys({ page, isChanged, isKept }: { page: OwnRecipe; isChanged: boolean; isKept: boolean }) {
  const router = useRouter();
  const { forget } = usePageDrafts();
  const enter = useHouseholdStore((store) => store.enter);
  const { lots, batches, batchRecords, goals } = useHousehold();
  const [asked, setAsked] = useState(false);
  const product = ownProductId(page.id);
  const card = recipesOf(product)[0]?.card;
  const isUsed =
    [...lots, ...batches, ...batchRecords].some((each) => isOwnProduct(each.product) && each.product === product) ||
    goals.some((goal) => goal.product === product && (goal.jars ?? 0) > 0);
  const away = () => {
    forget(page.id);
    // What was made by it keeps its name; it is only not offered any more.
    if (isKept && isUsed)
      void enter({ kind: 'recipe', recipe: { ...page, revision: page.revision + 1, archived: true } });
    else if (isKept) void enter({ kind: 'recipe-struck', recipeId: page.id });
    router.navigate('/bench/recipes');
  };
  const file = `${page.name === '' ? 'recipe' : page.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.jsonld`;
  return (
    <View className="flex-row flex-wrap items-center gap-2">
      <SmallKey
        words="As a file"
        onPress={() => saveText(JSON.stringify(pageToJsonLd(page), null, 2), file, 'application/ld+json')}
      />
      {card && !isChanged && (
        <SmallKey
          words="On a card"
          onPress={() => router.navigate({ pathname: '/paper/[what]', params: { what: 'recipe', card } })}
        />
      )}
      {isChanged && isKept && <SmallKey words="As it was kept" onPress={() => forget(page.id)} />}
      {asked ? (
        <>
          <Words>{isUsed ? 'It is put away; jars made by it stay.' : 'It is gone then.'}</Words>
          <SmallKey words={isUsed ? 'Put it away' : 'Strike it out'} onPress={away} />
          <SmallKey words="Keep" onPress={() => setAsked(false)} />
        </>
      ) : (
        <SmallKey words={isUsed ? 'Put it away' : 'Strike it out'} onPress={() => setAsked(true)} />
      )}
    </View>
  );
}
