import { answersOf, asked, inPath } from './pathParts'

/** The paths of other workshops' servers, for the OpenAPI document. */
export function homePaths(refused: object) {
  const { done, answers } = answersOf(refused)
  const atHome = inPath('homeId', 'Of the other workshop’s server')
  const away = inPath('awayId', 'Of the build, there and here')
  return {
    '/homes': {
      get: {
        summary: 'Other workshops that builds are taken along from',
        ...answers('The list', 'HomeList'),
      },
      post: {
        summary: 'Sign this installation in at another workshop, by a link that pairs',
        ...asked('HomeToAdd'),
        ...answers('It', 'Home', 201),
      },
    },
    '/homes/{homeId}': {
      parameters: [atHome],
      delete: { summary: 'Sign this installation out there', ...done('Signed out') },
    },
    '/homes/{homeId}/builds': {
      parameters: [atHome],
      get: { summary: 'Builds there', ...answers('The list', 'BuildsAtHome') },
      post: {
        summary: 'Take a build along, with its photographs and logs',
        ...asked('BuildToTake'),
        ...answers('The build, as it is here', 'BuildSummary', 201),
      },
    },
    '/homes/{homeId}/builds/{awayId}': {
      parameters: [atHome, away],
      get: { summary: 'A build as it is there', ...answers('The file', 'BuildFile') },
      post: {
        summary: 'Bring a build home that was taken along, with the photographs and logs since',
        ...asked('Homeward'),
        ...answers('What was done there, or would be', 'HomewardResult'),
      },
    },
  }
}
