/** What proxies say for whom they ask, by all the names that are about. */
export const PROXY_HEADERS = [
  ...['x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-forwarded-server', 'x-forwarded'],
  ...['forwarded', 'via', 'x-real-ip', 'real-ip', 'x-client-ip', 'client-ip', 'true-client-ip'],
  ...['x-cluster-client-ip', 'x-connecting-ip', 'x-original-forwarded-for', 'x-original-host'],
  'x-original-url',
] as const
