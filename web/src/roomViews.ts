/** The views of a room: what stands in its address, and what it is called. */
export const SWAPS_VIEWS = [
  ['ledger', 'Ledger'],
  ['forecast', 'Forecast'],
  ['kilos', 'Where the kilos went'],
  ['parts', 'Parts we weighed'],
  ['bench', 'At the bench'],
] as const
export const SCALES_VIEWS = [
  ['weighIns', 'Weigh-ins'],
  ['perches', 'Perches'],
  ['ballast', 'Ballast'],
  ['height', 'Height of the mass'],
  ['instruments', 'Scales and dynos'],
] as const
export const DYNO_VIEWS = [
  ['days', 'Dyno days'],
  ['compare', 'Compare'],
  ['worth', 'What it is worth'],
  ['fuel', 'Fuel'],
  ['air', 'Air'],
  ['cooling', 'Cooling'],
  ['electrics', 'Electrics'],
  ['options', 'Options'],
] as const
export const AERO_VIEWS = [
  ['sheet', 'Loads'],
  ['trim', 'Trim'],
  ['holds', 'Will it hold?'],
  ['rolled', 'Measured'],
  ['class', 'Class'],
] as const
export const BOARD_VIEWS = [
  ['marks', 'Marks'],
  ['whatif', 'What if'],
] as const
export const PROOF_VIEWS = [
  ['sheet', 'Proof sheet'],
  ['gain', 'Gain split'],
  ['history', 'History'],
  ['claims', 'Claims'],
] as const
export const DRIVELINE_VIEWS = [
  ['gearing', 'Gearing'],
  ['launch', 'Launch'],
  ['drift', 'Drift window'],
  ['choices', 'Choices'],
  ['shelf', 'Shelf'],
  ['links', 'Weak links'],
  ['life', 'Life'],
] as const
export const STANCE_VIEWS = [
  ['setup', 'Set-up'],
  ['springs', 'Springs'],
  ['roll', 'Roll'],
  ['travel', 'Travel'],
  ['alignment', 'Alignment'],
  ['tyres', 'Tyres'],
  ['brakes', 'Brakes'],
  ['geometry', 'Geometry'],
  ['steering', 'Steering'],
  ['wheels', 'Wheels'],
] as const
export const DAYS_VIEWS = [
  ['day', 'Day'],
  ['helped', 'Did it help'],
  ['logs', 'Logs'],
  ['season', 'Season'],
  ['limits', 'Limits'],
] as const
export const COURSE_VIEWS = [
  ['lap', 'Lap'],
  ['worth', 'What it is worth'],
  ['trade', 'Trade-offs'],
  ['courses', 'Courses'],
] as const
export const SHOP_VIEWS = [
  ['jobs', 'Jobs'],
  ['date', 'Dates'],
  ['today', 'Today'],
  ['parts', 'Parts'],
  ['money', 'Money'],
  ['store', 'Store'],
  ['record', 'Record'],
  ['calendar', 'Hands'],
] as const
