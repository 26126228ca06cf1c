import { LESSONS, type Lesson } from '@hoddle/core/rehearsal/lessons';
import { MISHAP_KINDS, type MishapKind } from '@hoddle/core/rehearsal/mishap';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type Day, hasPlan } from '@hoddle/core/kitchen/dayInHand';
import { useDay } from '@/household/day/useDay';
import { type Speed } from '@/store/rehearsalClock';
import { useHousehold } from '@/store/useHousehold';
import { altitudeWords } from '@/ui/amountWords';
import { ChipCheck } from '@/ui/ChipCheck';
import { Choice } from '@/ui/Choice';
import { Key } from '@/ui/Key';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { useIsWide } from '@/ui/StationBar';
import { Heading, Words } from '@/ui/Words';
import { DebriefPart } from './DebriefPart';
import { LessonDrawing } from './LessonDrawing';
import { LESSON_FT, rehearseLesson, rehearsePlanned, useRehearsalStore, whyNotNow } from './rehearsalStore';

const MISHAP_WORDS: Readonly<Record<MishapKind, string>> = {
  'boil-lost': 'the boil stops',
  'jar-broken': 'a jar breaks',
  'child-calls': 'somebody calls',
  'lids-short': 'lids are short',
  'gas-out': 'the flame goes out',
  'yield-short': 'a fifth less fruit',
  'power-cut': 'the power is cut',
};

/** A day lived before it is lived: lessons for whoever has never canned, or the planned day, with what may go wrong. */
export function RehearseScreen() {
  const wide = useIsWide();
  const day = useDay();
  const { debrief, running } = useRehearsalStore();
  const [speed, setSpeed] = useState<'1' | '10' | '60'>('10');
  const whyNot = whyNotNow();
  const planned = day && hasPlan(day) && !day.live ? day : undefined;
  return (
    <Screen station="plan" title="Rehearse" note="Nothing of it reaches the shelf." backTo="/plan">
      <View className={wide ? 'flex-row gap-10' : 'gap-6'}>
        <View className={`gap-5 ${wide ? 'w-[520px]' : ''}`}>
          {debrief && <DebriefPart title={debrief.title} debrief={debrief.told} />}
          {whyNot !== undefined && (
            <Words role="alert" weight={700}>
              {whyNot}
            </Words>
          )}
          <View className="gap-2">
            <Heading>How fast its clock goes</Heading>
            <Choice
              label="How fast its clock goes"
              value={speed}
              onChoose={setSpeed}
              options={[
                { value: '1', words: '1x', note: 'as it is' },
                { value: '10', words: '10x', note: '6 s a minute' },
                { value: '60', words: '60x', note: '1 s a minute' },
              ]}
            />
          </View>
          {planned && (
            <PlannedPart day={planned} speed={Number(speed) as Speed} disabled={whyNot !== undefined || !!running} />
          )}
        </View>
        <View className={wide ? 'flex-1' : ''}>
          <Lessons speed={Number(speed) as Speed} disabled={whyNot !== undefined || !!running} />
        </View>
      </View>
    </Screen>
  );
}

function PlannedPart({ day, speed, disabled }: { day: Day; speed: Speed; disabled: boolean }) {
  const router = useRouter();
  const [kinds, setKinds] = useState<readonly MishapKind[]>([]);
  const count = `${day.loads.length} ${day.loads.length === 1 ? 'load' : 'loads'}`;
  const begin = (asked: readonly MishapKind[] | 'chance') => {
    rehearsePlanned(day.startAt, asked, speed);
    router.navigate('/kitchen');
  };
  return (
    <Plate className="gap-3">
      <Heading>The planned day, {count}</Heading>
      <Words>What is to go wrong?</Words>
      <View role="group" aria-label="What is to go wrong" className="flex-row flex-wrap gap-2">
        {MISHAP_KINDS.map((kind) => (
          <ChipCheck
            key={kind}
            words={MISHAP_WORDS[kind]}
            checked={kinds.includes(kind)}
            onPress={() => setKinds(kinds.includes(kind) ? kinds.filter((each) => each !== kind) : [...kinds, kind])}
          />
        ))}
      </View>
      <Key words="Rehearse it so" disabled={disabled} onPress={() => begin(kinds)} />
      <Key look="outline" words="Let chance decide" disabled={disabled} onPress={() => begin('chance')} />
    </Plate>
  );
}

function Lessons({ speed, disabled }: { speed: Speed; disabled: boolean }) {
  const { altitudeFt, units } = useHousehold().household;
  return (
    <View className="gap-2">
      <Heading>Four lessons</Heading>
      <Words tone="ink-2">
        {altitudeFt === null
          ? `Altitude not set: the lessons go by ${altitudeWords(LESSON_FT, units)}. Your own kitchen may ask for longer.`
          : `By the times for ${altitudeWords(altitudeFt, units)}.`}
      </Words>
      <View role="list" aria-label="Lessons">
        {LESSONS.map((lesson, i) => (
          <LessonRow key={lesson.id} lesson={lesson} number={i + 1} speed={speed} disabled={disabled} />
        ))}
      </View>
    </View>
  );
}

function LessonRow({
  lesson,
  number,
  speed,
  disabled,
}: {
  lesson: Lesson;
  number: number;
  speed: Speed;
  disabled: boolean;
}) {
  const router = useRouter();
  const [isOpen, setIsOpen] = useState(false);
  const begin = () => {
    rehearseLesson(lesson, speed);
    router.navigate('/kitchen');
  };
  return (
    <View role="listitem" className="gap-3 border-t-2 border-hair py-3">
      <View className="flex-row items-center gap-3">
        <LessonDrawing lesson={lesson} />
        <View className="flex-1">
          <Words weight={800} size="lead">
            {number}: {lesson.title}
          </Words>
          <Words>{lesson.words}</Words>
        </View>
      </View>
      {isOpen ? (
        <>
          {lesson.first.map((line) => (
            <Words key={line} weight={600}>
              {line}
            </Words>
          ))}
          <Key words="Begin this lesson" disabled={disabled} onPress={begin} />
        </>
      ) : (
        <Key look="outline" words="Look at it" label={`Look at lesson ${number}`} onPress={() => setIsOpen(true)} />
      )}
    </View>
  );
}
