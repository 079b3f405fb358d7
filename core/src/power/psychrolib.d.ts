/** The functions of the reference library that the checks call. */
declare module 'psychrolib' {
  const library: {
    SI: number
    SetUnitSystem(system: number): void
    GetSatVapPres(celsius: number): number
    GetHumRatioFromRelHum(celsius: number, humidity: number, pascal: number): number
    GetMoistAirDensity(celsius: number, humidityRatio: number, pascal: number): number
  }
  export default library
}
