/** A body of JSON, as a schema of the document has it. */
export const json = (ref: string) => ({
  content: { 'application/json': { schema: { $ref: `#/components/schemas/${ref}` } } },
})
export const asked = (ref: string) => ({ requestBody: { required: true, ...json(ref) } })
export const inPath = (name: string, description: string) => ({
  name,
  in: 'path',
  required: true,
  description,
  schema: { type: 'string' },
})

/** What may be answered beside a refusal. */
export const answersOf = (refused: object) => ({
  done: (description: string) => ({ responses: { 204: { description }, ...refused } }),
  answers: (description: string, ref: string, status = 200) => ({
    responses: { [status]: { description, ...json(ref) }, ...refused },
  }),
})
