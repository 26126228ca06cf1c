import { type Pack } from '@hoddle/core/handbook/boilingWater';
import { type JarSize } from '@hoddle/core/handbook/jars';
import { productCalled } from '@hoddle/core/handbook/nearProducts';
import { readNumber } from '@hoddle/core/measure/readNumber';
import { checkHouseholdSource } from '@hoddle/core/process/checkHouseholdSource';
import { type HouseholdSource, type SourceBand, type SourceKind } from '@hoddle/core/process/householdSource';
import { type Method } from '@hoddle/core/process/method';
import { bandsOf } from '@hoddle/core/process/withOwnSource';

/** What was typed, as it was typed. */
export interface SourceDraft {
  readonly title: string;
  readonly kind: SourceKind;
  readonly page: string;
  readonly food: string;
  readonly lowAcid: boolean;
  readonly pack: Pack;
  readonly jar: JarSize;
  readonly method: Method;
  readonly headspaceIn: number;
  /** One entry a band of the method, in its order; an empty one is not given by the page. */
  readonly bands: readonly { readonly minutes: string; readonly psi: string }[];
}

export type SourceReading =
  | { readonly kind: 'ready'; readonly source: HouseholdSource }
  | { readonly kind: 'slip'; readonly field: keyof HouseholdSource; readonly sentence: string };

/** Reads a draft: a source the handbook's rules take, or what is wrong in one sentence. */
export function readSourceDraft(draft: SourceDraft, id: string): SourceReading {
  const bands: SourceBand[] = [];
  for (const [i, band] of bandsOf(draft.method).entries()) {
    const typed = draft.bands[i] ?? { minutes: '', psi: '' };
    const minutes = readNumber(typed.minutes);
    const psi = readNumber(typed.psi);
    if (minutes.kind === 'unreadable' && minutes.why === 'empty') {
      if (psi.kind === 'unreadable' && psi.why === 'empty') continue;
      return slip('bands', `Minutes are missing ${band.words}.`);
    }
    if (minutes.kind === 'unreadable' || !Number.isInteger(minutes.value)) {
      return slip('bands', `"${typed.minutes}" is no number of minutes, ${band.words}.`);
    }
    if (psi.kind === 'unreadable' && psi.why !== 'empty')
      return slip('bands', `"${typed.psi}" is no pressure, ${band.words}.`);
    const upToFt = band.upToFt === Infinity ? null : band.upToFt;
    const pressure = psi.kind === 'number' && draft.method.startsWith('pressure') ? { pressurePsi: psi.value } : {};
    bands.push({ upToFt, minutes: minutes.value, ...pressure });
  }
  const product = productCalled(draft.food);
  const { title, kind, page, pack, jar, method, headspaceIn } = draft;
  const source: HouseholdSource = {
    id,
    title: title.trim(),
    kind,
    page: page.trim(),
    product: product?.product ?? draft.food.trim(),
    lowAcid: product ? product.productClass === 'low-acid' : draft.lowAcid,
    pack,
    jar,
    method,
    headspaceIn,
    bands,
  };
  const check = checkHouseholdSource(source);
  return check.kind === 'refused' ? slip(check.field, check.reason) : { kind: 'ready', source };
}

function slip(field: keyof HouseholdSource, sentence: string): SourceReading {
  return { kind: 'slip', field, sentence };
}
