export { createApp } from './app'
export { connect, migrate } from './database/connect'
export { currentWorkshop } from './builds/currentWorkshop'
export { BuildStore } from './builds/BuildStore'
