import { type JarLabel } from '@hoddle/core/formats/labels/layLabel';
import { type StockedLot } from '@hoddle/core/pantry/shelf';
import { useState } from 'react';
import { View } from 'react-native';
import { Heading, Words } from '@/ui/Words';
import { LabelPreview } from './LabelPreview';
import { type ReadSheet } from './sheetDraft';
import { type Layout } from './useLayout';

const PX_PER_MM = 96 / 25.4;
const MOST_SHOWN = 6;

interface PreviewPartProps {
  layout: Layout | undefined;
  labels: readonly { lot: StockedLot; label: JarLabel }[];
  sheet: ReadSheet;
}

/** Each label once, as large as on paper where the screen is wide enough; why there is none, where there is none. */
export function PreviewPart({ layout, labels, sheet }: PreviewPartProps) {
  const [roomPx, setRoomPx] = useState<number>();
  if (sheet.kind === 'slip') return null;
  const { widthMm, heightMm, shape } = sheet.sheet;
  const scale = roomPx === undefined ? 1 : Math.min(1, roomPx / (widthMm * PX_PER_MM));
  const laid = layout?.kind === 'laid' ? layout.layout : undefined;
  return (
    <View className="gap-2" onLayout={({ nativeEvent }) => setRoomPx(nativeEvent.layout.width)}>
      <Heading>{scale === 1 ? 'As large as on paper' : 'As on paper, a little smaller'}</Heading>
      {labels.length === 0 && <Words tone="ink-2">Say for which jars: their labels stand here.</Words>}
      {layout?.kind === 'not' && labels.length > 0 && (
        <Words role="alert" weight={700}>
          {layout.why}
        </Words>
      )}
      <View className="flex-row flex-wrap gap-2">
        {laid?.labels.slice(0, MOST_SHOWN).map(({ laid: own }, i) => {
          const label = labels[i]?.label;
          if (!label) return null;
          return (
            <LabelPreview
              key={labels[i]?.lot.id}
              laid={own}
              sheet={{ widthMm, heightMm, shape }}
              name={label.name}
              scale={scale}
            />
          );
        })}
      </View>
      {laid && (
        <Words role="status" tone="ink-2">
          {laid.sheets} {laid.sheets === 1 ? 'sheet' : 'sheets'} of labels
          {labels.length > MOST_SHOWN && `; ${labels.length - MOST_SHOWN} more kinds of label are not drawn here`}.
        </Words>
      )}
    </View>
  );
}
