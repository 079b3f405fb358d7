import { answersOf, asked, inPath } from './pathParts'

/** The paths of who may come in, for the OpenAPI document. */
export function accessPaths(refused: object) {
  const { done, answers } = answersOf(refused)
  const person = [inPath('personId', 'Of somebody who works in the workshop')]
  const pass = [inPath('token', 'Of the link')]
  return {
    '/me': {
      get: { summary: 'Who asks, and where they may go', ...answers('You', 'Me') },
      put: { summary: 'What you are called', ...asked('PersonChange'), ...done('Changed') },
    },
    '/me/password': {
      put: {
        summary: 'Change your password; all other devices are signed out',
        ...asked('PasswordChange'),
        ...done('Changed'),
      },
    },
    '/owner': {
      post: {
        summary: 'Make the first account, on the machine itself',
        ...asked('NewOwner'),
        ...answers('You, signed in', 'Me', 201),
      },
    },
    '/sign-in': {
      post: { summary: 'Sign in', ...asked('SignIn'), ...answers('You; the cookie is set', 'Me') },
    },
    '/sign-out': { post: { summary: 'Sign this device out', ...asked('Nothing'), ...done('Signed out') } },
    '/sessions': {
      get: { summary: 'Devices that you are signed in on', ...answers('The list', 'SessionList') },
      delete: { summary: 'Sign all your other devices out', ...done('Signed out') },
    },
    '/sessions/{sessionId}': {
      parameters: [inPath('sessionId', 'Of the device')],
      delete: { summary: 'Sign a device of yours out', ...done('Signed out') },
    },
    '/passes/{token}': {
      parameters: pass,
      get: { summary: 'What a link opens; 410 once it has ended', ...answers('What it opens', 'PassOpened') },
      post: {
        summary: 'Use a link: join, or choose a new password',
        requestBody: {
          required: true,
          content: {
            'application/json': {
              schema: {
                anyOf: [
                  { $ref: '#/components/schemas/Joining' },
                  { $ref: '#/components/schemas/PasswordReset' },
                ],
              },
            },
          },
        },
        ...answers('You, signed in', 'Me'),
      },
    },
    '/workshops': {
      post: {
        summary: 'Open another workshop here, as its owner',
        ...asked('WorkshopName'),
        ...answers('The workshop', 'Membership', 201),
      },
    },
    '/pairings': {
      post: {
        summary: 'A link that signs a phone of yours in, once and within minutes',
        ...asked('Nothing'),
        ...answers('The link', 'PassAdded', 201),
      },
    },
    '/pairings/{pairingId}': {
      parameters: [inPath('pairingId', 'Of the link')],
      get: { summary: 'Whether a phone was paired, and which', ...answers('The state', 'PairingState') },
    },
    '/garage': {
      get: { summary: 'How phones reach this server', ...answers('The state', 'Garage') },
      put: {
        summary: 'Serve the local network, or stop it',
        ...asked('GarageSwitch'),
        ...answers('The state', 'Garage'),
      },
    },
    '/garage/trust': {
      get: { summary: 'What phones are to trust', ...answers('Its name and fingerprint', 'Trust') },
    },
    '/garage/authority': {
      get: {
        summary: 'The certificate that phones are to trust',
        responses: {
          200: {
            description: 'DER',
            content: { 'application/x-x509-ca-cert': { schema: { type: 'string', format: 'binary' } } },
          },
          ...refused,
        },
      },
    },
    '/members': { get: { summary: 'Who works here, as what', ...answers('The list', 'MemberList') } },
    '/members/{personId}': {
      parameters: person,
      put: { summary: 'Change what somebody is here', ...asked('MemberChange'), ...done('Changed') },
      delete: { summary: 'Send somebody away', ...done('They may not come in any more') },
    },
    '/members/{personId}/reset': {
      parameters: person,
      post: {
        summary: 'A link by which somebody chooses a new password',
        ...asked('Nothing'),
        ...answers('The link', 'PassAdded', 201),
      },
    },
    '/members/{personId}/sessions': {
      parameters: person,
      get: { summary: 'Devices that somebody is signed in on', ...answers('The list', 'SessionList') },
      delete: { summary: 'Sign somebody out everywhere', ...done('Signed out') },
    },
    '/invitations': {
      get: { summary: 'Who was invited', ...answers('The list', 'InvitationList') },
      post: {
        summary: 'A link by which somebody joins, until a time',
        ...asked('InvitationToAdd'),
        ...answers('The link', 'PassAdded', 201),
      },
    },
    '/invitations/{invitationId}': {
      parameters: [inPath('invitationId', 'Of the invitation')],
      delete: { summary: 'Withdraw an invitation', ...done('It opens nothing any more') },
    },
    '/audit': {
      get: {
        summary: 'What was noted of who came in and what was taken out, the newest first, 100 at a time',
        parameters: [
          {
            name: 'before',
            in: 'query',
            description: 'The id of an entry',
            schema: { type: 'string', pattern: '^\\d{1,18}$' },
          },
        ],
        ...answers('A page of it', 'AuditPage'),
      },
    },
  }
}
