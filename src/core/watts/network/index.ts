export { checkNet, NetError, type Load, type Net, type Resistor } from './net.ts';
export { solveSystem, type Converter, type SolvedSystem, type System } from './converters.ts';
export { solve, type Solved } from './solve.ts';
