import { Document, Image, Page, StyleSheet, Text, View } from '@react-pdf/renderer';
import type { Paper, PaperBlock, PaperPicture, PaperSheet } from './paper';

/** Families under which the fonts are known: what the first has no letter for is set in the second. */
export const PAPER_FONTS = ['Paper', 'Paper Extended'];

/** Points. Black on white throughout, so that it is as legible from any printer. */
const INK = '#000000';
const LINE = '#555555';
/** Size of what is read, points. */
const SIZE = 9.5;
/** Letters of a size with the height of their lines, which goes by the size that stands beside it. */
const lines = (fontSize: number) => ({ fontSize, lineHeight: 1.3 });
const styles = StyleSheet.create({
  // No height of lines here: what is written on each page by its number would be lost with it.
  page: {
    fontFamily: PAPER_FONTS as unknown as string,
    fontSize: SIZE,
    color: INK,
    paddingTop: 36,
    paddingBottom: 44,
    paddingHorizontal: 40,
  },
  title: { fontSize: 16, fontWeight: 700, lineHeight: 1.2 },
  about: { ...lines(SIZE), marginTop: 2, marginBottom: 8 },
  heading: { ...lines(11), fontWeight: 700, marginTop: 10, marginBottom: 3 },
  text: { ...lines(SIZE), marginBottom: 3 },
  strong: { fontWeight: 700 },
  fact: { marginBottom: 2, gap: 8 },
  term: { ...lines(SIZE), width: '34%' },
  value: { ...lines(SIZE), flex: 1, fontWeight: 700 },
  beside: { gap: 16, marginTop: 4 },
  // Two abreast; the heads of most cases have one region or two.
  pictures: { flexWrap: 'wrap', gap: 8, width: 164 },
  rest: { flex: 1 },
  picture: { width: 78 },
  hair: { width: 78, height: 169, objectFit: 'contain', backgroundColor: '#8d8d8d' },
  filled: { borderRightWidth: 0.5, borderColor: LINE },
  label: { ...lines(8), marginTop: 2, textAlign: 'center' },
  row: { borderBottomWidth: 0.5, borderColor: LINE },
  head: { borderBottomWidth: 1, borderColor: INK, fontWeight: 700 },
  cell: { ...lines(SIZE), paddingVertical: 2, paddingHorizontal: 3 },
  toFill: { minHeight: 21, borderLeftWidth: 0.5, borderColor: LINE },
  line: { borderBottomWidth: 0.5, borderColor: LINE, height: 20 },
  foot: {
    position: 'absolute',
    bottom: 20,
    left: 40,
    right: 40,
    fontSize: 8,
  },
});

type Pictured = (picture: PaperPicture) => string;

function Table({
  columns,
  rows,
  toFill = false,
  across,
}: Extract<PaperBlock, { kind: 'table' }> & { across: Across }) {
  const all = columns.reduce((sum, { width }) => sum + width, 0);
  const cell = (column: (typeof columns)[number], text: string, key: number) => (
    <Text
      key={key}
      style={[
        styles.cell,
        { width: `${(100 * column.width) / all}%`, textAlign: column.figures ? across.end : across.start },
      ]}
    >
      {text}
    </Text>
  );
  return (
    <View>
      <View style={[styles.head, across.row]} wrap={false}>
        {columns.map((column, i) => cell(column, column.text, i))}
      </View>
      {rows.map((row, i) => (
        <View key={i} style={[styles.row, across.row, toFill ? styles.filled : {}]} wrap={false}>
          {columns.map((column, k) =>
            toFill ? (
              <View key={k} style={[styles.toFill, { width: `${(100 * column.width) / all}%` }]}>
                <Text style={styles.cell}>{row[k] ?? ''}</Text>
              </View>
            ) : (
              cell(column, row[k] ?? '', k)
            ),
          )}
        </View>
      ))}
    </View>
  );
}

/** How things follow one another across the page. */
interface Across {
  row: { flexDirection: 'row' | 'row-reverse' };
  start: 'left' | 'right';
  end: 'left' | 'right';
}
const acrossOf = (rightToLeft: boolean): Across =>
  rightToLeft
    ? { row: { flexDirection: 'row-reverse' }, start: 'right', end: 'left' }
    : { row: { flexDirection: 'row' }, start: 'left', end: 'right' };

function Block({ block, across, pictured }: { block: PaperBlock; across: Across; pictured: Pictured }) {
  switch (block.kind) {
    case 'heading':
      return <Text style={styles.heading}>{block.text}</Text>;
    case 'text':
      return <Text style={[styles.text, block.strong ? styles.strong : {}]}>{block.text}</Text>;
    case 'facts':
      return (
        <View>
          {block.rows.map(({ term, value }, i) => (
            <View key={i} style={[styles.fact, across.row]} wrap={false}>
              <Text style={styles.term}>{term}</Text>
              <Text style={styles.value}>{value}</Text>
            </View>
          ))}
        </View>
      );
    case 'pictures':
      return (
        <View style={[styles.beside, across.row]} wrap={false}>
          <View style={[styles.pictures, across.row]}>
            {block.pictures.map((picture, i) => (
              <View key={i} style={styles.picture}>
                <Image style={styles.hair} src={pictured(picture)} />
                <Text style={styles.label}>{picture.label}</Text>
              </View>
            ))}
          </View>
          <View style={styles.rest}>
            {block.beside.map((one, i) => (
              <Block key={i} block={one} across={across} pictured={pictured} />
            ))}
          </View>
        </View>
      );
    case 'table':
      return <Table {...block} across={across} />;
    case 'lines':
      return (
        <View wrap={false}>
          {block.label ? <Text style={{ marginTop: 4 }}>{block.label}</Text> : null}
          {Array.from({ length: block.count }, (_, i) => (
            <View key={i} style={styles.line} />
          ))}
        </View>
      );
  }
}

function Sheet({
  sheet: { title, about, mark, blocks },
  size,
  across,
  pictured,
}: {
  sheet: PaperSheet;
  size: Paper['size'];
  across: Across;
  pictured: Pictured;
}) {
  return (
    <Page size={size} style={[styles.page, { textAlign: across.start }]}>
      <Text fixed style={styles.foot}>
        {mark}
      </Text>
      <Text
        fixed
        style={[styles.foot, { textAlign: across.end }]}
        render={({ subPageNumber, subPageTotalPages }) => `${subPageNumber} / ${subPageTotalPages}`}
      />
      <Text style={styles.title}>{title}</Text>
      <Text style={styles.about}>{about}</Text>
      {blocks.map((block, i) => (
        <Block key={i} block={block} across={across} pictured={pictured} />
      ))}
    </Page>
  );
}

/** A set laid out on pages. `pictured` gives a picture as a data address. */
export function PaperDocument({ paper, pictured }: { paper: Paper; pictured: Pictured }) {
  const across = acrossOf(paper.rightToLeft);
  return (
    <Document title={paper.title} creator="Cimbel" producer="Cimbel">
      {paper.sheets.map((sheet, i) => (
        <Sheet key={i} sheet={sheet} size={paper.size} across={across} pictured={pictured} />
      ))}
    </Document>
  );
}
