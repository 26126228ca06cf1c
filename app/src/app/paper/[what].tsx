import { useLocalSearchParams } from 'expo-router';
import {
  RecipePaperScreen,
  RunSheetScreen,
  SeasonPaperScreen,
  ShelfListScreen,
  ShoppingPaperScreen,
  YearBookScreen,
} from '@/features/paper/papers';
import NotFound from '../+not-found';

export default function PaperRoute() {
  const { what, batch, card, year } = useLocalSearchParams<Record<'what' | 'batch' | 'card' | 'year', string>>();
  switch (what) {
    case 'run-sheet':
      return <RunSheetScreen />;
    case 'shelf':
      return <ShelfListScreen />;
    case 'shopping':
      return <ShoppingPaperScreen />;
    case 'season':
      return <SeasonPaperScreen />;
    case 'year':
      return <YearBookScreen {...(year && { year: Number(year) })} />;
    case 'recipe':
      return <RecipePaperScreen {...(batch && { batch })} {...(card && { card })} />;
    default:
      return <NotFound />;
  }
}
