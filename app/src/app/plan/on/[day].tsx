import { useLocalSearchParams } from 'expo-router';
import { SeasonDayScreen } from '@/features/season/SeasonDayScreen';

export default function SeasonDayRoute() {
  const { day } = useLocalSearchParams<{ day: string }>();
  return <SeasonDayScreen day={day} />;
}
