import { dynoOrders, loggerOrders, padOrders } from '@bold-ballast/contract'
import type { Request } from 'express'
import type { Knex } from 'knex'
import { placeOf } from '../access/Caller'
import { BuildHistory } from '../builds/BuildHistory'
import { BuildStore } from '../builds/BuildStore'
import { BuildTexts } from '../builds/BuildTexts'
import { ClaimsRecord } from '../claims/ClaimsRecord'
import { ReckoningNotes } from '../reckoning/ReckoningNotes'
import { PrintoutColumnsLibrary } from '../columns/PrintoutColumnsLibrary'
import { simulatedDynoSource } from '../devices/simulatedDynoSource'
import { simulatedLoggerSource } from '../devices/simulatedLoggerSource'
import { simulatedPadSource } from '../devices/simulatedPadSource'
import { HomeStore } from '../homes/HomeStore'
import { WorkLibrary } from '../shop/WorkLibrary'
import { CourseLibrary } from '../courses/CourseLibrary'
import { GearsetLibrary } from '../gearsets/GearsetLibrary'
import type { HeavyWork } from '../heavy/HeavyWork'
import { InstrumentLibrary } from '../instruments/InstrumentLibrary'
import type { LiveHub } from '../live/LiveHub'
import { PartsLibrary } from '../parts/PartsLibrary'
import { ReplacedFiles } from '../beside/ReplacedFiles'
import { BesideStore, PHOTOS, PICTURES, RUN_LOGS } from '../beside/BesideStore'
import { LogColumnsLibrary } from '../logs/LogColumnsLibrary'
import type { RunLogMore } from '../logs/runLogMore'
import type { PhotoMore } from '../photos/photoRoutes'
import { ShareStore } from '../shares/ShareStore'

/** All that one workshop has here; nothing of it knows of another. */
export interface Workroom {
  readonly builds: BuildStore
  readonly history: BuildHistory
  readonly replaced: ReplacedFiles
  readonly claims: ClaimsRecord
  readonly reckoning: ReckoningNotes
  readonly courses: CourseLibrary
  readonly work: WorkLibrary
  readonly gearsets: GearsetLibrary
  readonly instruments: InstrumentLibrary
  readonly columns: PrintoutColumnsLibrary
  readonly parts: PartsLibrary
  readonly photos: BesideStore<PhotoMore>
  readonly pictures: BesideStore<PhotoMore>
  readonly logs: BesideStore<RunLogMore>
  readonly logColumns: LogColumnsLibrary
  readonly homes: HomeStore
  readonly shares: ShareStore
  readonly pads: ReturnType<typeof simulatedPadSource>
  readonly dyno: ReturnType<typeof simulatedDynoSource>
  readonly logger: ReturnType<typeof simulatedLoggerSource>
}

/** The workroom that a request is about. */
export type RoomOf = (request: Request) => Workroom

/** Workrooms that are kept ready; the one that was asked for longest ago goes first. */
const MOST_READY = 100

/** The workrooms of an installation. */
export class Workrooms {
  private readonly ready = new Map<string, Workroom>()
  private readonly texts: BuildTexts

  constructor(
    private readonly db: Knex,
    private readonly heavy: HeavyWork,
    hub: LiveHub,
  ) {
    this.texts = new BuildTexts(db)
    // Devices read alike at every server; one where nobody has looked yet has none to tell.
    hub.onOrdered(({ workshopId, device, orders }) => {
      const room = this.ready.get(workshopId)
      if (device === 'pads') room?.pads.order(padOrders.parse(orders))
      else if (device === 'dyno') room?.dyno.order(dynoOrders.parse(orders))
      else room?.logger.order(loggerOrders.parse(orders))
    })
  }

  readonly of: RoomOf = (request) => {
    const { workshopId } = placeOf(request)
    const room = this.ready.get(workshopId) ?? this.open(workshopId)
    this.ready.delete(workshopId)
    this.ready.set(workshopId, room)
    for (const oldest of this.ready.keys()) {
      if (this.ready.size <= MOST_READY) break
      this.ready.delete(oldest)
    }
    return room
  }

  private open(workshopId: string): Workroom {
    const { db } = this
    const builds = new BuildStore(db, workshopId, this.heavy, this.texts)
    const photos = new BesideStore<PhotoMore>(db, workshopId, PHOTOS)
    const pictures = new BesideStore<PhotoMore>(db, workshopId, PICTURES)
    const logs = new BesideStore<RunLogMore>(db, workshopId, RUN_LOGS)
    const replaced = new ReplacedFiles(db, workshopId)
    return {
      builds,
      homes: new HomeStore(db, workshopId, builds, this.heavy, { photos, pictures, logs }),
      history: new BuildHistory(db, workshopId, replaced),
      replaced,
      claims: new ClaimsRecord(db, workshopId),
      reckoning: new ReckoningNotes(db, workshopId),
      courses: new CourseLibrary(db, workshopId),
      work: new WorkLibrary(db, workshopId),
      gearsets: new GearsetLibrary(db, workshopId),
      instruments: new InstrumentLibrary(db, workshopId),
      columns: new PrintoutColumnsLibrary(db, workshopId),
      parts: new PartsLibrary(db, workshopId),
      photos,
      pictures,
      logs,
      logColumns: new LogColumnsLibrary(db, workshopId),
      shares: new ShareStore(db, workshopId),
      pads: simulatedPadSource(),
      dyno: simulatedDynoSource(),
      logger: simulatedLoggerSource(),
    }
  }
}
