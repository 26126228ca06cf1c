import { type Write } from '@/store/write';

/** The screen on which such a thing is entered, where there is one: what was typed can be typed otherwise there. */
export function whereToChange(write: Write): string | undefined {
  switch (write.kind) {
    case 'household':
      return '/bench/household';
    case 'pick':
    case 'pick-corrected':
      return `/harvest/pick/${write.pick.id}`;
    case 'lot-change':
    case 'own-measure':
      return '/harvest';
    case 'planting':
    case 'look':
      return '/harvest/garden';
    case 'batch-record':
      return `/harvest/batch?batch=${write.record.batchId ?? ''}`;
    case 'batch':
      return '/plan';
    case 'event':
      return `/kitchen/${write.event.loadId}`;
    case 'day-event':
      return '/kitchen';
    case 'movement':
      return `/shelf/lot/${write.movement.lotId}`;
    case 'jars-in':
      return '/shelf';
    case 'goal':
      return '/shelf/wanted';
    case 'hardware-move':
      return '/shelf/supplies';
    case 'season-days':
    case 'season-plan':
    case 'shopping-tick':
      return '/plan/season';
    case 'source':
      return '/bench/sources';
    case 'recipe':
      return `/bench/recipes/${write.recipe.id}`;
    default:
      return undefined;
  }
}
