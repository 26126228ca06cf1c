import { useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { DivideScreen } from '@/features/yields/divide/DivideScreen';

export default function DivideRoute() {
  const { crop = '', lots } = useLocalSearchParams<{ crop: string; lots?: string }>();
  const keys = useMemo(() => lots?.split(','), [lots]);
  return <DivideScreen key={`${crop} ${lots}`} crop={crop} {...(keys && { keys })} />;
}
