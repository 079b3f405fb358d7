import { aeroElement } from './aeroElement'
import { alignment } from './alignment'
import { attitude } from './attitude'
import { bodyCheck } from './bodyCheck'
import { brakeReading } from './brakeReading'
import { brakes } from './brakes'
import { branch } from './branch'
import { build } from './build'
import { coastDown } from './coastDown'
import { component } from './component'
import { condition } from './condition'
import { course } from './course'
import { courseSpeeds } from './courseSpeeds'
import { downforceTest } from './downforceTest'
import { drivetrain } from './drivetrain'
import { dynoDay } from './dynoDay'
import { fitment } from './fitment'
import { gearset } from './gearset'
import { geometry } from './geometry'
import { instrument } from './instrument'
import { job } from './job'
import { lapBasis } from './lapBasis'
import { limit } from './limit'
import { line } from './line'
import { load } from './load'
import { mark } from './mark'
import { optionSet } from './optionSet'
import { outing } from './outing'
import { pull } from './pull'
import { rulebook } from './rulebook'
import { run } from './run'
import { scrutiny } from './scrutiny'
import { seal } from './seal'
import { service } from './service'
import { setup } from './setup'
import { sheetStock } from './sheetStock'
import { sizing } from './sizing'
import { stage } from './stage'
import { steering } from './steering'
import { suspension } from './suspension'
import { swap } from './swap'
import { tiltTest } from './tiltTest'
import { tyreReading } from './tyreReading'
import { wait } from './wait'
import { picture } from './picture'
import { quickRelease } from './quickRelease'
import { part } from './part'
import { hand } from './hand'
import { fixedDate } from './fixedDate'
import { budget } from './budget'
import { firstGuess } from './firstGuess'
import { weighIn } from './weighIn'

/** Every kind of record that a build is made of; what a record hangs from stands before it. */
export const REGISTRY = {
  build,
  stage,
  swap,
  line,
  weighIn,
  tiltTest,
  dynoDay,
  pull,
  mark,
  sizing,
  optionSet,
  drivetrain,
  gearset,
  courseSpeeds,
  component,
  outing,
  run,
  service,
  job,
  picture,
  wait,
  part,
  budget,
  firstGuess,
  quickRelease,
  hand,
  fixedDate,
  seal,
  steering,
  fitment,
  aeroElement,
  coastDown,
  downforceTest,
  attitude,
  geometry,
  bodyCheck,
  suspension,
  setup,
  alignment,
  tyreReading,
  brakes,
  brakeReading,
  sheetStock,
  rulebook,
  scrutiny,
  load,
  condition,
  course,
  lapBasis,
  limit,
  instrument,
  branch,
} as const
