/** The part of the psychrolib package that the tests hold our moist air against. */
declare module "psychrolib" {
  const library: {
    SI: number;
    SetUnitSystem(system: number): void;
    GetSatVapPres(temperature: number): number;
    GetHumRatioFromRelHum(temperature: number, relative: number, pressure: number): number;
    GetRelHumFromHumRatio(temperature: number, ratio: number, pressure: number): number;
  };
  export default library;
}
