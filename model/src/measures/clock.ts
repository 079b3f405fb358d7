/** What a clock at the line is off by, s (common practice). */
export const CLOCK = 0.05
