import { isModest } from './isModest'
import { Refusal } from './Refusal'

const decoder = new TextDecoder('utf-8', { fatal: true })

/**
 * A body as the value that its JSON says.
 *
 * @throws {Refusal} 400 for what is no JSON in UTF-8, 413 for what costs far more to read than it is long
 */
export function readJson(body: Uint8Array): unknown {
  if (isModest(body))
    throw new Refusal(413, 'too-large', 'Too much at once', 'It holds more values than a build can.')
  let text: string
  try {
    text = decoder.decode(body)
  } catch {
    throw new Refusal(400, 'not-json', 'That is not JSON', 'The text is not UTF-8.')
  }
  try {
    return JSON.parse(text)
  } catch (error) {
    const { message } = error as Error
    throw new Refusal(
      400,
      'not-json',
      'That is not JSON',
      `The text can’t be read as JSON: ${message.slice(0, 300)}`,
    )
  }
}
