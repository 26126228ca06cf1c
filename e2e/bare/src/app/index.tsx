import { ScrollView, Text, View } from 'react-native';
import { Path, Svg } from 'react-native-svg';
import * as v from 'valibot';
import { create } from 'zustand';

const Count = v.object({ jars: v.number() });
const useJars = create(() => v.parse(Count, { jars: 7 }));

/** A page of the platform alone, each of its libraries used once: what any app of this stack weighs. */
export default function Bare() {
  const jars = useJars((store) => store.jars);
  return (
    <ScrollView className="flex-1 p-4">
      <View role="main">
        <Text role="heading">{jars} jars</Text>
        <Svg width={24} height={24}>
          <Path d="M4 4h16v16H4z" fill="#1D3F8F" />
        </Svg>
      </View>
    </ScrollView>
  );
}
