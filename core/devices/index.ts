/** Line protocols of measuring devices, shared by the application and its stand-ins. */
// A pressure gauge.
export { gaugeCommandLine, readGaugeLine, type GaugeCommand } from './algometer-lines.ts';
export { readGaugeSession, writeGaugeSession, type GaugeSession } from './gauge-session.ts';
// A force pad.
export {
  HAND_SCRIPTS,
  padCommandLine,
  padFrameLine,
  padHelloLine,
  readPadCommand,
  readPadLine,
  type AskedOfHand,
  type HandScript,
  type PadCommand,
  type PadFrame,
  type PadShape,
} from './pad-lines.ts';
export { readPadSession, writePadSession } from './pad-session.ts';
export type { DeviceSession } from './device-session.ts';
// A microcurrent unit.
export {
  currentHelloLine,
  currentReadingLine,
  currentState,
  readCurrentLine,
  type CurrentReading,
  type CurrentUnit,
} from './current-lines.ts';
export { readCurrentSession, writeCurrentSession } from './current-session.ts';
