/** The measures of a plan, px. */
export interface PlanSizes {
  /** Taps further in than this go in no further: a long chain must not push everything else out of sight. */
  mostSteps: number;
  /** A card's width, and the height of its picture. */
  card: { width: number; height: number };
  /** Around the title over a picture, each of its lines, so many of them at most, and the line of what it needs. */
  title: { around: number; line: number; most: number; needs: number };
  /** A card without its picture. */
  row: { width: number; height: number };
  /** How far one tap goes in. */
  step: number;
  gap: number;
  pad: number;
  /** The strip with a plate's name. */
  head: number;
  /** A hub's comb tooth. */
  tooth: number;
  /** The strip with the name of what lies over the rest of a stack. */
  caption: number;
  /** Between the panes of a pair. */
  gutter: number;
}

/** What things measure on the plan where nothing else is asked, px. */
export const planSizes: PlanSizes = {
  card: { width: 96, height: 134 },
  title: { around: 8, line: 15, most: 3, needs: 17 },
  row: { width: 148, height: 26 },
  step: 22,
  mostSteps: 6,
  gap: 10,
  pad: 10,
  head: 30,
  tooth: 34,
  caption: 22,
  gutter: 18,
};
