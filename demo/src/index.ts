import type { BuildFile } from '@bold-ballast/contract'
import { demoBuild, type DemoData } from './demoBuild'
import { demoHistory } from './demoHistory'
import { demoLogs } from './demoLogs'
import { demoPictures } from './shop/demoPictures'
import ember from './ember.json'
import nightjar from './nightjar.json'
import wren from './wren.json'

/** The invented workshop with its three builds, in the shape of a person's own export. */
export const demo = {
  workshop: 'Lantern Yard',
  builds: (): BuildFile[] => [wren, ember, nightjar].map((data) => demoBuild(data as unknown as DemoData)),
  historyOf: demoHistory,
  logsOf: demoLogs,
  picturesOf: demoPictures,
}
