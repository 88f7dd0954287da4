export { checkNet, NetError, type Load, type Net, type Resistor } from './net.ts';
export { solve, type Solved } from './solve.ts';
