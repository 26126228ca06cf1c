import { type Write } from '../write';

/** A write of its own place: a later one there stands for it, too. Undefined for what is only ever added. */
export function placeOf(write: Write): string | undefined {
  switch (write.kind) {
    case 'household':
    case 'season-days':
    case 'season-plan':
      return write.kind;
    case 'pick':
    case 'pick-corrected':
      return `pick ${write.pick.id}`;
    case 'pick-struck':
      return `pick ${write.pickId}`;
    case 'planting':
      return `planting ${write.planting.id}`;
    case 'planting-struck':
      return `planting ${write.plantingId}`;
    case 'own-measure':
      return `measure ${write.measure.crop} ${write.measure.measure}`;
    case 'goal':
      return `goal ${write.goal.product} ${write.goal.jar}`;
    case 'shopping-tick':
      return `tick ${write.key}`;
    case 'row-checked':
      return `row ${write.check.rowId}`;
    case 'source':
      return `source ${write.source.id}`;
    case 'source-struck':
      return `source ${write.sourceId}`;
    case 'recipe':
      return `recipe ${write.recipe.id}`;
    case 'recipe-struck':
      return `recipe ${write.recipeId}`;
    default:
      return undefined;
  }
}

/** What is there only once the server has the write: whatever names it would be refused before. */
export function madeBy(write: Write): string[] {
  switch (write.kind) {
    case 'pick':
      return [write.pick.id];
    case 'planting':
      return [write.planting.id];
    case 'batch':
      return [write.batch.id, ...write.batch.loads.map(({ id }) => id)];
    case 'source':
      return [write.source.id];
    case 'recipe':
      return [write.recipe.id];
    case 'jars-in':
      return write.jars.rows.map(({ lot }) => lot.id);
    case 'movement':
      return [write.movement.id, ...(write.movement.intoLotId === undefined ? [] : [write.movement.intoLotId])];
    case 'event':
    case 'day-event':
      return [...namesIn(write.event)].filter((name) => name !== ('loadId' in write.event ? write.event.loadId : ''));
    default:
      return [];
  }
}

/** Everything a write names: the things it is about. */
export function namesOf(write: Write): Set<string> {
  const names = namesIn(write);
  const place = placeOf(write);
  if (place !== undefined) names.add(place);
  return names;
}

const NAME = /(^id|Id|Ids|^undoes)$/;

function namesIn(value: unknown, key = '', names = new Set<string>()): Set<string> {
  if (typeof value === 'string') {
    if (NAME.test(key)) names.add(value);
  } else if (Array.isArray(value)) {
    for (const each of value) namesIn(each, key, names);
  } else if (typeof value === 'object' && value !== null) {
    for (const [own, each] of Object.entries(value)) namesIn(each, own, names);
  }
  return names;
}
