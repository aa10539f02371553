import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { fitted, INSIDE, POINTS, type LabelSheet } from './labelSheets'

/** One label as it is printed: its lines, the first being its name, and what its code opens. */
export interface LabelToPrint {
  lines: string[]
  code?: string
}

/** How wide a code is on a label, in millimetres. */
const CODE = 18

/** Letters that the printer's face has: fractions that it lacks are written out. */
const plainText = (text: string) =>
  text.replace(/⅓/g, '1/3').replace(/⅔/g, '2/3').replace(/…/g, '...').replace(/−/g, '-')

/** The document of labels on sheets, from the place where the first label that is not used up is. */
export function labelsDocument(
  labels: readonly LabelToPrint[],
  sheet: LabelSheet,
  skip = 0,
): TDocumentDefinitions {
  const perPage = sheet.across * sheet.down
  const cells: (LabelToPrint | undefined)[] = [
    ...Array.from({ length: skip % perPage }, () => undefined),
    ...labels,
  ]
  const pages: (LabelToPrint | undefined)[][] = []
  for (let i = 0; i < cells.length; i += perPage) pages.push(cells.slice(i, i + perPage))
  return {
    pageSize: sheet.paper,
    pageMargins: [0, 0, 0, 0],
    defaultStyle: { font: 'Helvetica' },
    content: pages.map((page, k): Content => ({
      stack: page.flatMap((label, i): Content[] => (label ? [place(label, sheet, i)] : [])),
      ...(k ? { pageBreak: 'before' as const } : {}),
      // A page of things that stand in their places takes no room of its own.
      margin: [0, 0, 0, 0],
    })),
  }
}

function place(label: LabelToPrint, sheet: LabelSheet, at: number): Content {
  const [column, row] = [at % sheet.across, Math.floor(at / sheet.across)]
  const x = (sheet.left + column * (sheet.wide + sheet.gap)) * POINTS
  const y = (sheet.top + row * sheet.high) * POINTS
  const inside = sheet.wide - 2 * INSIDE - (label.code ? CODE + 2 : 0)
  const { size, lines } = fitted(label.lines.map(plainText), inside, sheet.high - 2 * INSIDE)
  const border = sheet.cut ?? false
  return {
    absolutePosition: { x, y },
    table: {
      widths: [sheet.wide * POINTS],
      heights: [sheet.high * POINTS],
      body: [
        [
          {
            border: [border, border, border, border],
            columns: [
              {
                width: inside * POINTS,
                stack: lines.map((text, k) => ({
                  text,
                  fontSize: size,
                  lineHeight: 1.1,
                  bold: k === 0,
                })),
              },
              ...(label.code
                ? [
                    {
                      qr: label.code,
                      fit: CODE * POINTS,
                      margin: [4, 0, 0, 0] as [number, number, number, number],
                    },
                  ]
                : []),
            ],
            margin: [INSIDE * POINTS, INSIDE * POINTS, 0, 0],
          },
        ],
      ],
    },
    layout: {
      hLineWidth: () => (border ? 0.5 : 0),
      vLineWidth: () => (border ? 0.5 : 0),
      hLineColor: () => '#999999',
      vLineColor: () => '#999999',
      paddingLeft: () => 0,
      paddingRight: () => 0,
      paddingTop: () => 0,
      paddingBottom: () => 0,
    },
  }
}

/** The labels as a PDF file. */
export async function labelsPdf(...given: Parameters<typeof labelsDocument>): Promise<Blob> {
  const [{ default: pdfMake }, { default: face }] = await Promise.all([
    import('pdfmake/build/pdfmake'),
    import('pdfmake/build/standard-fonts/Helvetica'),
  ])
  pdfMake.addFontContainer(face)
  return await pdfMake.createPdf(labelsDocument(...given)).getBlob()
}
