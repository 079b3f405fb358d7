export * from './simulatedPads'
export * from './simulatedDyno'
export * from './simulatedLogger'
export * from './liveLogger'
