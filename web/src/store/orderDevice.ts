/** Tells a simulated device what to do; one that is away shows as a lost line already. */
export const orderDevice = (stream: string, orders: object): void =>
  void fetch(`${stream}/orders`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(orders),
  }).catch(() => undefined)
