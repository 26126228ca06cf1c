import { type Paper, type PaperItem, type PaperPart } from '@hoddle/core/formats/paper/paper';
import { View } from 'react-native';
import { Heading, Words } from '@/ui/Words';

/** A paper as it will be printed, on the screen. */
export function PaperView({ paper }: { paper: Paper }) {
  return (
    <View className="gap-2">
      {paper.note !== undefined && <Words tone="ink-2">{paper.note}</Words>}
      {paper.parts.map((part, i) => (
        <Part key={i} part={part} />
      ))}
      {paper.foot !== undefined && (
        <Words size="label" tone="ink-2">
          {paper.foot}
        </Words>
      )}
    </View>
  );
}

function Part({ part }: { part: PaperPart }) {
  switch (part.kind) {
    case 'heading':
      return <Heading className="pt-2">{part.words}</Heading>;
    case 'words':
      return <Words weight={part.bold ? 700 : 400}>{part.words}</Words>;
    case 'list':
      return (
        <View role="list" className="gap-1">
          {part.items.map((item, i) => (
            <View key={i} role="listitem" className="flex-row gap-2">
              <Words aria-hidden>{part.tick ? '☐' : '–'}</Words>
              <Item item={item} />
            </View>
          ))}
        </View>
      );
    case 'table':
      return (
        <View role="table">
          <View role="row" className="flex-row gap-2 border-b-2 border-ink pb-1">
            {part.columns.map(({ words, share }, i) => (
              <View key={i} role="columnheader" style={{ flex: share }}>
                <Words size="label" tone="ink-2">
                  {words}
                </Words>
              </View>
            ))}
          </View>
          {part.rows.map((row, i) => (
            <View key={i} role="row" className="flex-row gap-2 border-b border-hair py-1">
              {part.columns.map(({ share }, j) => (
                <View key={j} role="cell" style={{ flex: share }}>
                  {row[j] && <Item item={row[j]} bold={j < 2} />}
                </View>
              ))}
            </View>
          ))}
        </View>
      );
  }
}

function Item({ item: { words, note }, bold }: { item: PaperItem; bold?: boolean }) {
  return (
    <View className="shrink">
      <Words weight={bold ? 700 : 400}>{words}</Words>
      {note !== undefined && (
        <Words size="label" tone="ink-2">
          {note}
        </Words>
      )}
    </View>
  );
}
