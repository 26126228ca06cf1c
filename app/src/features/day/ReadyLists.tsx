import { type ReactNode } from 'react';
import { View } from 'react-native';
import { Heading, Words } from '@/ui/Words';

/** One part of the list before the day: a heading and its lines. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View className="gap-1">
      <Heading>{title}</Heading>
      <View role="list">{children}</View>
    </View>
  );
}

/** One thing to have ready. */
export function Line({ children }: { children: ReactNode }) {
  return (
    <View role="listitem" className="border-t border-hair py-2">
      <Words>{children}</Words>
    </View>
  );
}
