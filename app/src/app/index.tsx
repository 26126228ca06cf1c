import { Text, View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';
import { findProcess } from '@hoddle/core/process/findProcess';
import { ChevronLeft } from 'lucide-react-native/icons';

export default function TodayRoute() {
  const p = findProcess({ product: 'tomatoes-crushed', pack: 'hot', jar: 'quart', method: 'boiling-water', altitudeFt: 3420 });
  return (
    <View className="flex-1 bg-ground p-4">
      <Text className="text-title text-ink">{JSON.stringify(p)}</Text>
      <Svg width={50} height={50}>
        <Circle cx={25} cy={25} r={20} fill="#A6211B" />
      </Svg>
      <ChevronLeft color="#1D3F8F" size={26} />
    </View>
  );
}
