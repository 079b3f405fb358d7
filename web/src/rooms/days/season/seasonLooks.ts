/** Lines of one chart, told apart by marks as well as by colour. */
export const SEASON_LOOKS = [
  ['--blued', 'circle'],
  ['--oxide', 'diamond'],
  ['--zinc', 'square'],
  ['--ochre', 'triangle-up'],
] as const
