export * from './simulatedPads'
export * from './simulatedDyno'
