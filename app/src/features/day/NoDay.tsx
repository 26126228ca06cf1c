import { type Proposal } from '@hoddle/core/day/proposeDay';
import { countJars } from '@hoddle/core/handbook/jars';
import { produceRow } from '@hoddle/core/handbook/produce';
import { productRow } from '@hoddle/core/handbook/products';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { clockTime, weekday } from '@/ui/clockWords';
import { hueOfProduct } from '@/ui/colours';
import { JarTray } from '@/ui/JarTray';
import { Key } from '@/ui/Key';
import { RowLink } from '@/ui/RowLink';
import { Screen } from '@/ui/Screen';
import { Heading, Words } from '@/ui/Words';
import { SeasonLink } from '@/household/season/SeasonLink';
import { useProposal } from './useProposal';

/** No day is planned: what the produce on hand could become, to be taken or changed. */
export function NoDay() {
  const router = useRouter();
  const { proposals, take } = useProposal();
  return (
    <Screen
      station="plan"
      title="No day planned"
      foot={proposals.length > 0 ? <Key tall words="Plan all of this" onPress={take} /> : undefined}
    >
      <View className="max-w-[560px] gap-4">
        {proposals.length === 0 ? (
          <>
            <View className="h-[150px] items-center justify-center rounded-plate border-2 border-dashed border-key-edge">
              <Words tone="ink-2">The hours of a preserving day stand here.</Words>
            </View>
            <Words>Choose what the produce on hand becomes; the loads and their clock times follow.</Words>
          </>
        ) : (
          <View>
            <Heading>Before it spoils</Heading>
            <Words tone="ink-2" className="pb-2">
              What you have made of it most, in whole loads. Change any of it first.
            </Words>
            <View role="list">
              {proposals.map((proposal) => (
                <ProposalRow key={proposal.crop} proposal={proposal} />
              ))}
            </View>
          </View>
        )}
        <SeasonLink />
        <Key
          look={proposals.length > 0 ? 'outline' : 'solid'}
          words="See what is on hand"
          onPress={() => router.navigate('/harvest')}
        />
        <Key look="outline" words="Rehearse a day first" onPress={() => router.navigate('/plan/rehearse')} />
      </View>
    </Screen>
  );
}

/** Jars drawn in a row; more of them are told in figures only. */
const MOST_DRAWN = 14;

function ProposalRow({ proposal: { crop, product, jar, jars, until } }: { proposal: Proposal }) {
  const words = `${countJars(jars, jar)} ${productRow(product).name.toLowerCase()}`;
  const fuse = `${produceRow(crop).name} keep until ${weekday(until)} ${clockTime(until)}`;
  return (
    <View role="listitem">
      <RowLink
        href={{ pathname: '/plan/make', params: { crop, product, jar } }}
        label={`${words}. ${fuse}. Change.`}
        className="min-h-[72px] flex-row items-center gap-3 border-t border-hair py-2"
      >
        <View className="flex-1">
          <Words size="lead" weight={700}>
            {words}
          </Words>
          <Words size="label" tone="ink-2">
            {fuse}
          </Words>
        </View>
        <JarTray
          size={jar}
          jars={Math.min(jars, MOST_DRAWN)}
          places={Math.min(jars, MOST_DRAWN)}
          quartPx={22}
          {...hueOfProduct(product)}
        />
      </RowLink>
    </View>
  );
}
