import * as z from 'zod'
import { needsOf, OPERATIONS, type Operation } from '../access/operations'
import {
  auditPage,
  invitationList,
  invitationToAdd,
  joining,
  me,
  memberChange,
  memberList,
  membership,
  newOwner,
  passAdded,
  passOpened,
  passwordChange,
  passwordReset,
  personChange,
  sessionList,
  signIn,
  workshopName,
} from '../access/people'
import { editBatch, editResult } from '../edits/edit'
import { buildFile } from '../files/buildFile'
import { alongList, homecoming, homecomingFile, homecomingResult } from '../files/homecoming'
import { buildDocument } from '../records/kinds'
import { buildList, buildSummary, workshopInfo } from './buildSummary'
import { columnsAnswer } from './dyno'
import { dynoOrders } from './dyno'
import { garage, garageSwitch, pairingState, trust } from './garage'
import { buildsAtHome, buildToTake, home, homeList, homeToAdd, homeward, homewardResult } from './homes'
import { MADE_AT_HEADER, photoList, pictureList } from './photos'
import { loggerOrders } from './logger'
import { logColumnsList, RUN_LOG_TYPE, runLogList } from './runLogs'
import { whereabouts } from './live'
import { padOrders } from './pads'
import { accessPaths } from './accessPaths'
import { homePaths } from './homePaths'
import { claimList } from './claims'
import { reckoning } from './reckoning'
import { courseList } from './courseLibrary'
import { workLibrary } from './workLibrary'
import { gearsetList } from './gearsetLibrary'
import { instrumentList } from './instrumentLibrary'
import { historyDetail, historyPage } from './history'
import { partsList } from './partsLibrary'
import { problem } from './problem'
import { recordPlace, shareAdded, sharedAnswer, shareList, shareToAdd } from './shares'
import { workshopExport, workshopImported } from './workshopFile'

const asJsonSchema = (schema: z.ZodType) =>
  z.toJSONSchema(schema, { target: 'draft-2020-12', io: 'input', reused: 'inline' })

/** JSON Schema of a build file, made from the Zod schema that also checks it. */
export const buildFileJsonSchema = () => ({
  $id: 'https://bold-ballast.invalid/schema/build.json',
  title: 'Bold Ballast build file',
  ...asJsonSchema(buildFile),
})

const json = (ref: string) => ({
  content: { 'application/json': { schema: { $ref: `#/components/schemas/${ref}` } } },
})
const answer = (description: string, ref: string) => ({ description, ...json(ref) })
const refused = {
  default: {
    description: 'Problem details (RFC 9457)',
    content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
  },
}
const path = (name: string, description: string) => ({
  name,
  in: 'path',
  required: true,
  description,
  schema: { type: 'string' },
})
const binary = { schema: { type: 'string', format: 'binary' } }
const packed = { content: { 'application/gzip': binary } }
const packedLog = { content: { [RUN_LOG_TYPE]: binary } }
const picture = { content: { 'image/jpeg': binary, 'image/png': binary, 'image/webp': binary } }
const events = { content: { 'text/event-stream': { schema: { type: 'string' } } } }
const header = (name: string, description: string) => ({
  name,
  in: 'header',
  required: false,
  description,
  schema: { type: 'string' },
})
const replacing = [
  header(
    'If-Match',
    'The SHA-256, in quotes, of the file that this one takes the place of; left out where there is none',
  ),
  header('Content-Digest', 'Of the body, as RFC 9530 has it'),
  header(MADE_AT_HEADER, 'When it was made, where that was before it came'),
]
const buildId = { name: 'buildId', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }

const isOperation = (name: string): name is Operation => name in OPERATIONS

/** Says of each operation who may ask for it. */
function withNeeds<P extends Readonly<Record<string, object>>>(paths: P): P {
  for (const [at, item] of Object.entries(paths))
    for (const [method, operation] of Object.entries(item)) {
      const name = `${method.toUpperCase()} ${at}`
      if (isOperation(name)) Object.assign(operation, { 'x-needs': needsOf(name) })
    }
  return paths
}

/** The OpenAPI document of the API, from the same schemas that validate it. */
export function openApi() {
  return {
    openapi: '3.1.0',
    info: {
      title: 'Bold Ballast',
      version: '1',
      description: 'All values in SI units. Builds change by batches of edits.',
    },
    servers: [
      { url: '/api/v1' },
      {
        url: '/api/v1/workshops/{workshopId}',
        description: 'A workshop among several',
        variables: { workshopId: { default: '00000000-0000-0000-0000-000000000000' } },
      },
    ],
    paths: withNeeds({
      ...accessPaths(refused),
      ...homePaths(refused),
      '/builds': {
        get: {
          summary: 'All builds, with headline figures',
          responses: { 200: answer('The list', 'BuildList'), ...refused },
        },
        post: {
          summary: 'Add a build from a build file, under new ids where the old ones are taken',
          parameters: [
            {
              name: 'along',
              in: 'query',
              description: 'It is taken along, to be brought home later: its ids have to be free',
              schema: { enum: ['yes', 'no'], default: 'no' },
            },
          ],
          requestBody: { required: true, ...json('BuildFile') },
          responses: { 201: answer('The build that was added', 'BuildSummary'), ...refused },
        },
      },
      '/builds/{buildId}': {
        parameters: [buildId],
        get: {
          summary: 'One build, whole',
          responses: { 200: answer('The document', 'BuildDocument'), ...refused },
        },
        delete: {
          summary: 'Remove a build with everything in it',
          responses: { 204: { description: 'Removed' }, ...refused },
        },
      },
      '/builds/{buildId}/file': {
        parameters: [buildId],
        get: {
          summary: 'One build as a file',
          responses: { 200: answer('The file', 'BuildFile'), ...refused },
        },
      },
      '/builds/{buildId}/homecoming': {
        parameters: [buildId],
        get: {
          summary:
            'A build that was taken along, as it was taken and as it is, to be brought home; 404 for one that is at home here',
          responses: { 200: answer('The file', 'HomecomingFile'), ...refused },
        },
        post: {
          summary: 'Take over what was done to the build elsewhere, record by record, all or none',
          requestBody: { required: true, ...json('Homecoming') },
          responses: { 200: answer('What was done, or would be', 'HomecomingResult'), ...refused },
        },
      },
      '/builds/{buildId}/photos': {
        parameters: [buildId],
        get: {
          summary: 'Of which lines there are photographs',
          responses: { 200: answer('The list', 'PhotoList'), ...refused },
        },
      },
      '/builds/{buildId}/edits': {
        parameters: [buildId],
        post: {
          summary: 'Carry out edits, all or none; 409 gives both versions of each record in conflict',
          requestBody: { required: true, ...json('EditBatch') },
          responses: { 200: answer('The new versions', 'EditResult'), ...refused },
        },
      },
      '/builds/{buildId}/history': {
        parameters: [buildId],
        get: {
          summary: 'What was done to a build, the newest first, 100 at a time',
          parameters: [
            {
              name: 'before',
              in: 'query',
              description: 'The id of an entry, or a time',
              schema: {
                anyOf: [
                  { type: 'string', format: 'uuid' },
                  { type: 'string', format: 'date-time' },
                ],
              },
            },
          ],
          responses: { 200: answer('A page of it', 'HistoryPage'), ...refused },
        },
      },
      '/builds/{buildId}/history/{batchId}': {
        parameters: [buildId, path('batchId', 'Of a batch of edits')],
        get: {
          summary: 'What one batch did, and what takes it back',
          responses: { 200: answer('The edits', 'HistoryDetail'), ...refused },
        },
      },
      '/builds/{buildId}/at': {
        parameters: [buildId],
        get: {
          summary: 'The build as it was at a time, or right after a batch; one of the two is given',
          parameters: [
            { name: 'time', in: 'query', schema: { type: 'string', format: 'date-time' } },
            { name: 'batch', in: 'query', schema: { type: 'string', format: 'uuid' } },
          ],
          responses: { 200: answer('The document', 'BuildDocument'), ...refused },
        },
      },
      '/builds/{buildId}/shares': {
        parameters: [buildId],
        get: {
          summary: 'Links that were given out to proof sheets',
          responses: { 200: answer('The links', 'ShareList'), ...refused },
        },
        post: {
          summary: 'Give out a link to a copy of a proof sheet, until a time',
          requestBody: { required: true, ...json('ShareToAdd') },
          responses: { 201: answer('The link, with its token', 'Share'), ...refused },
        },
      },
      '/builds/{buildId}/shares/{shareId}': {
        parameters: [buildId, path('shareId', 'Of the link')],
        delete: {
          summary: 'Withdraw a link',
          responses: { 204: { description: 'It opens nothing any more' }, ...refused },
        },
      },
      '/shared/{token}': {
        parameters: [path('token', 'Of the link')],
        get: {
          summary: 'The sheet that a link opens; 410 once it has ended',
          responses: { 200: answer('The sheet', 'SharedSheet'), ...refused },
        },
      },
      '/records/{code}': {
        parameters: [path('code', 'As it stands on a sheet')],
        get: {
          summary: 'Where the code on a sheet leads',
          responses: { 200: answer('Build, stage, and what was signed', 'RecordPlace'), ...refused },
        },
      },
      '/workshop/exports': {
        post: {
          summary: 'Begin to pack the whole workshop',
          responses: { 202: answer('How far it is', 'WorkshopExport'), ...refused },
        },
      },
      '/workshop/exports/{exportId}': {
        parameters: [path('exportId', 'Of the workshop file')],
        get: {
          summary: 'How far a workshop file is packed',
          responses: { 200: answer('How far it is', 'WorkshopExport'), ...refused },
        },
        delete: {
          summary: 'Stop packing a workshop file, or forget it',
          responses: { 204: { description: 'Gone' }, ...refused },
        },
      },
      '/workshop/exports/{exportId}/file': {
        parameters: [path('exportId', 'Of the workshop file')],
        get: {
          summary:
            'A workshop file that is packed; ranges are answered, so that a broken fetch is gone on with',
          responses: { 200: { description: 'The file', ...packed }, ...refused },
        },
      },
      '/events': {
        get: {
          summary: 'That builds came, went, were changed or worked out, for as long as one listens',
          responses: { 200: { description: 'Server-sent events', ...events }, ...refused },
        },
      },
      '/builds/{buildId}/events': {
        parameters: [buildId],
        get: {
          summary: 'What others do to the build, and where they are, for as long as one listens',
          responses: { 200: { description: 'Server-sent events', ...events }, ...refused },
        },
      },
      '/builds/{buildId}/presence': {
        parameters: [buildId],
        post: {
          summary: 'Where in the build one is',
          requestBody: { required: true, ...json('Whereabouts') },
          responses: { 204: { description: 'Heard' }, ...refused },
        },
      },
      '/builds/{buildId}/replaced/{fileId}': {
        parameters: [buildId, path('fileId', 'Of the entry of the history')],
        get: {
          summary: 'A file that another took the place of, or that was removed',
          responses: {
            200: { description: 'The file', content: { ...picture.content, ...packedLog.content } },
            ...refused,
          },
        },
      },
      '/builds/{buildId}/lines/{lineId}/photo': {
        parameters: [buildId, path('lineId', 'Of the line')],
        get: {
          summary: 'The photograph of a part',
          responses: { 200: { description: 'The picture', ...picture }, ...refused },
        },
        put: {
          summary: 'Keep a photograph of a part, in place of the one before',
          parameters: replacing,
          requestBody: { required: true, ...picture },
          responses: { 204: { description: 'Kept' }, ...refused },
        },
        delete: {
          summary: 'Remove the photograph of a part',
          responses: { 204: { description: 'Removed' }, ...refused },
        },
      },
      '/builds/{buildId}/pictures': {
        parameters: [buildId],
        get: {
          summary: 'Which pictures of jobs have their photograph',
          responses: { 200: answer('The list', 'PictureList'), ...refused },
        },
      },
      '/builds/{buildId}/pictures/{pictureId}/photo': {
        parameters: [buildId, path('pictureId', 'Of the picture of a job')],
        get: {
          summary: 'The photograph of a job',
          responses: { 200: { description: 'The picture', ...picture }, ...refused },
        },
        put: {
          summary: 'Keep a photograph of a job, in place of the one before',
          parameters: replacing,
          requestBody: { required: true, ...picture },
          responses: { 204: { description: 'Kept' }, ...refused },
        },
        delete: {
          summary: 'Remove the photograph of a job',
          responses: { 204: { description: 'Removed' }, ...refused },
        },
      },
      '/builds/{buildId}/reckoning': {
        parameters: [buildId],
        get: {
          summary: 'Whether its people have yet to be told what reads otherwise since the reckoning changed',
          responses: { 200: answer('Whether', 'Reckoning'), ...refused },
        },
        delete: {
          summary: 'They were told',
          responses: { 204: { description: 'Not told again' }, ...refused },
        },
      },
      '/builds/{buildId}/logs': {
        parameters: [buildId],
        get: {
          summary: 'Of which runs there are logs',
          responses: { 200: answer('The list', 'RunLogList'), ...refused },
        },
      },
      '/log-columns': {
        get: {
          summary: 'How loggers’ files were read, the newest first',
          responses: { 200: answer('The list', 'LogColumnsList'), ...refused },
        },
      },
      '/builds/{buildId}/runs/{runId}/log': {
        parameters: [buildId, path('runId', 'Of the run')],
        get: {
          summary: 'The log of a run, packed',
          responses: { 200: { description: 'The log', ...packedLog }, ...refused },
        },
        put: {
          summary: 'Keep a log of a run, in place of the one before',
          parameters: replacing,
          requestBody: { required: true, ...packedLog },
          responses: { 204: { description: 'Kept' }, ...refused },
        },
        delete: {
          summary: 'Remove the log of a run',
          responses: { 204: { description: 'Removed' }, ...refused },
        },
      },
      '/devices/pads': {
        get: {
          summary: 'What the scale pads show, for as long as one listens',
          responses: { 200: { description: 'Server-sent events', ...events }, ...refused },
        },
      },
      '/devices/pads/orders': {
        post: {
          summary: 'What the simulated pads are to show',
          requestBody: { required: true, ...json('PadOrders') },
          responses: { 204: { description: 'Heard' }, ...refused },
        },
      },
      '/devices/logger/orders': {
        post: {
          summary: 'What the simulated logger is to do',
          requestBody: { required: true, ...json('LoggerOrders') },
          responses: { 204: { description: 'Heard' }, ...refused },
        },
      },
      '/devices/logger': {
        get: {
          summary: 'What the logger in the car records, for as long as one listens',
          responses: { 200: { description: 'Server-sent events', ...events }, ...refused },
        },
      },
      '/devices/dyno/orders': {
        post: {
          summary: 'What the simulated dyno is to do',
          requestBody: { required: true, ...json('DynoOrders') },
          responses: { 204: { description: 'Heard' }, ...refused },
        },
      },
      '/devices/dyno': {
        get: {
          summary: 'What the dyno shows, for as long as one listens',
          responses: { 200: { description: 'Server-sent events', ...events }, ...refused },
        },
      },
      '/openapi.json': {
        get: { summary: 'This document', responses: { 200: { description: 'The document' }, ...refused } },
      },
      '/workshop/file': {
        get: {
          summary: 'The whole workshop, packed: builds, histories, photographs, logs',
          responses: { 200: { description: 'JSON lines, gzip', ...packed }, ...refused },
        },
        post: {
          summary: 'Bring builds of a workshop file in, all or none',
          parameters: [
            { name: 'here', in: 'query', schema: { enum: ['leave', 'copy'], default: 'leave' } },
            { name: 'look', in: 'query', schema: { enum: ['yes', 'no'], default: 'no' } },
          ],
          requestBody: { required: true, ...packed },
          responses: { 200: answer('What was done, or would be', 'WorkshopImported'), ...refused },
        },
      },
      '/schema/build.json': {
        get: { summary: 'JSON Schema of a build file', responses: { 200: { description: 'The schema' } } },
      },
      '/workshop': {
        get: {
          summary: 'Whose builds these are',
          responses: { 200: answer('The workshop', 'Workshop'), ...refused },
        },
        put: {
          summary: 'Call the workshop otherwise',
          requestBody: { required: true, ...json('WorkshopName') },
          responses: { 204: { description: 'Changed' }, ...refused },
        },
      },
      '/along': {
        get: {
          summary: 'Builds that were taken along from elsewhere',
          responses: { 200: answer('The list', 'AlongList'), ...refused },
        },
      },
      '/parts': {
        get: {
          summary: 'Parts that the workshop has weighed, newest first',
          parameters: [
            {
              name: 'find',
              in: 'query',
              description: 'Words that stand in the name',
              schema: { type: 'string', maxLength: 120 },
            },
          ],
          responses: { 200: answer('At most 200 parts', 'PartsList'), ...refused },
        },
      },
      '/claims': {
        get: {
          summary: 'Guesses and claims of all builds that were weighed later',
          responses: { 200: answer('At most 5,000 parts', 'ClaimList'), ...refused },
        },
      },
      '/courses': {
        get: {
          summary: 'Courses of all builds of the workshop',
          responses: { 200: answer('At most 100 courses', 'CourseList'), ...refused },
        },
      },
      '/work': {
        get: {
          summary: 'Jobs, waits and parts to come of all builds, and what came off and was kept',
          responses: { 200: answer('At most 5,000 of each', 'WorkLibrary'), ...refused },
        },
      },
      '/gearsets': {
        get: {
          summary: 'Gearboxes, final drives and tyres of all builds of the workshop',
          responses: { 200: answer('At most 500 sets', 'GearsetList'), ...refused },
        },
      },
      '/instruments': {
        get: {
          summary: 'Every scale and dyno of the workshop, the newest record of each name',
          responses: { 200: answer('The list', 'InstrumentList'), ...refused },
        },
      },
      '/dyno-columns': {
        get: {
          summary: 'How files of a dyno were read last',
          parameters: [
            {
              name: 'dyno',
              in: 'query',
              required: true,
              description: 'The name of the dyno',
              schema: { type: 'string', maxLength: 120 },
            },
          ],
          responses: { 200: answer('The columns, or null', 'DynoColumns'), ...refused },
        },
      },
      '/ready': {
        get: {
          summary: 'May requests be sent here? Not while it is about to stop',
          responses: { 200: { description: 'They may' }, ...refused },
        },
      },
      '/health': {
        get: { summary: 'Is the database there?', responses: { 200: { description: 'It is' }, ...refused } },
      },
    }),
    components: {
      schemas: {
        Nothing: { type: 'object' },
        Me: asJsonSchema(me),
        NewOwner: asJsonSchema(newOwner),
        SignIn: asJsonSchema(signIn),
        PersonChange: asJsonSchema(personChange),
        PasswordChange: asJsonSchema(passwordChange),
        PasswordReset: asJsonSchema(passwordReset),
        Joining: asJsonSchema(joining),
        PassAdded: asJsonSchema(passAdded),
        PassOpened: asJsonSchema(passOpened),
        SessionList: asJsonSchema(sessionList),
        Membership: asJsonSchema(membership),
        MemberList: asJsonSchema(memberList),
        MemberChange: asJsonSchema(memberChange),
        InvitationList: asJsonSchema(invitationList),
        InvitationToAdd: asJsonSchema(invitationToAdd),
        AuditPage: asJsonSchema(auditPage),
        WorkshopName: asJsonSchema(workshopName),
        Whereabouts: asJsonSchema(whereabouts),
        Garage: asJsonSchema(garage),
        GarageSwitch: asJsonSchema(garageSwitch),
        Trust: asJsonSchema(trust),
        PairingState: asJsonSchema(pairingState),
        PadOrders: asJsonSchema(padOrders),
        DynoOrders: asJsonSchema(dynoOrders),
        Workshop: asJsonSchema(workshopInfo),
        BuildList: asJsonSchema(buildList),
        BuildSummary: asJsonSchema(buildSummary),
        BuildDocument: asJsonSchema(buildDocument),
        BuildFile: asJsonSchema(buildFile),
        PartsList: asJsonSchema(partsList),
        DynoColumns: asJsonSchema(columnsAnswer),
        ClaimList: asJsonSchema(claimList),
        CourseList: asJsonSchema(courseList),
        WorkLibrary: asJsonSchema(workLibrary),
        GearsetList: asJsonSchema(gearsetList),
        InstrumentList: asJsonSchema(instrumentList),
        AlongList: asJsonSchema(alongList),
        PhotoList: asJsonSchema(photoList),
        WorkshopExport: asJsonSchema(workshopExport),
        PictureList: asJsonSchema(pictureList),
        LoggerOrders: asJsonSchema(loggerOrders),
        LogColumnsList: asJsonSchema(logColumnsList),
        RunLogList: asJsonSchema(runLogList),
        Reckoning: asJsonSchema(reckoning),
        Home: asJsonSchema(home),
        HomeList: asJsonSchema(homeList),
        HomeToAdd: asJsonSchema(homeToAdd),
        BuildsAtHome: asJsonSchema(buildsAtHome),
        BuildToTake: asJsonSchema(buildToTake),
        Homeward: asJsonSchema(homeward),
        HomewardResult: asJsonSchema(homewardResult),
        HomecomingFile: asJsonSchema(homecomingFile),
        Homecoming: asJsonSchema(homecoming),
        HomecomingResult: asJsonSchema(homecomingResult),
        EditBatch: asJsonSchema(editBatch),
        EditResult: asJsonSchema(editResult),
        HistoryPage: asJsonSchema(historyPage),
        HistoryDetail: asJsonSchema(historyDetail),
        Share: asJsonSchema(shareAdded),
        ShareList: asJsonSchema(shareList),
        ShareToAdd: asJsonSchema(shareToAdd),
        SharedSheet: asJsonSchema(sharedAnswer),
        RecordPlace: asJsonSchema(recordPlace),
        WorkshopImported: asJsonSchema(workshopImported),
        Problem: asJsonSchema(problem),
      },
    },
  }
}
