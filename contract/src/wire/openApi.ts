import * as z from 'zod'
import { editBatch, editResult } from '../edits/edit'
import { buildFile } from '../files/buildFile'
import { buildDocument } from '../records/kinds'
import { buildList, buildSummary, workshopInfo } from './buildSummary'
import { columnsAnswer } from './dyno'
import { claimList } from './claims'
import { gearsetList } from './gearsetLibrary'
import { partsList } from './partsLibrary'
import { problem } from './problem'

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
const buildId = { name: 'buildId', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }

/** The OpenAPI document of the API, from the same schemas that validate it. */
export function openApi() {
  return {
    openapi: '3.1.0',
    info: {
      title: 'Bold Ballast',
      version: '1',
      description: 'All values in SI units. Builds change by batches of edits.',
    },
    servers: [{ url: '/api/v1' }],
    paths: {
      '/builds': {
        get: {
          summary: 'All builds, with headline figures',
          responses: { 200: answer('The list', 'BuildList'), ...refused },
        },
        post: {
          summary: 'Add a build from a build file, under new ids where the old ones are taken',
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
      '/builds/{buildId}/edits': {
        parameters: [buildId],
        post: {
          summary: 'Carry out edits, all or none; 409 gives both versions of each record in conflict',
          requestBody: { required: true, ...json('EditBatch') },
          responses: { 200: answer('The new versions', 'EditResult'), ...refused },
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
      '/gearsets': {
        get: {
          summary: 'Gearboxes, final drives and tyres of all builds of the workshop',
          responses: { 200: answer('At most 500 sets', 'GearsetList'), ...refused },
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
      '/health': {
        get: { summary: 'Is the database there?', responses: { 200: { description: 'It is' }, ...refused } },
      },
    },
    components: {
      schemas: {
        Workshop: asJsonSchema(workshopInfo),
        BuildList: asJsonSchema(buildList),
        BuildSummary: asJsonSchema(buildSummary),
        BuildDocument: asJsonSchema(buildDocument),
        BuildFile: asJsonSchema(buildFile),
        PartsList: asJsonSchema(partsList),
        DynoColumns: asJsonSchema(columnsAnswer),
        ClaimList: asJsonSchema(claimList),
        GearsetList: asJsonSchema(gearsetList),
        EditBatch: asJsonSchema(editBatch),
        EditResult: asJsonSchema(editResult),
        Problem: asJsonSchema(problem),
      },
    },
  }
}
