/** What the printer has printed, as it would look. */
export interface Printed {
  /** A drawing of each label, black and white. */
  drawings: string[]
  /** It comes from the stand-in that is shipped with Cadrum, not from a printer. */
  simulated: boolean
}

export interface LabelPrinter {
  /** Prints labels, each as lines of text; fails where the device does not answer. */
  print: (labels: string[][]) => Promise<Printed>
}

/** The label printer that the server simulates. */
export const labelPrinter: LabelPrinter = {
  print: (labels) => $fetch<Printed>('/api/labels', { method: 'POST', body: { labels } }),
}
