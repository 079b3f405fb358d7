export * from './simulatedPads'
