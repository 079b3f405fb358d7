import { expose } from 'comlink'
import { rideRows, type RideRead } from '../rooms/aero/measured/rideRows'

const api = { read: (text: string): RideRead => rideRows(text) }
export type RideApi = typeof api
expose(api)
