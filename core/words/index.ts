/** The vocabulary that every room shares. It imports nothing. */
// What is refused, and how numbers are written.
export { InputError } from './errors.ts';
export { clock, counted, roundHalfAway } from './numbers.ts';
// Where: the client's sides, regions of the body, places of the charts.
export { otherSide, SIDES, type OneSide, type Side } from './sides.ts';
export { FACE_REGIONS, NECK_REGIONS, REGION_NAMES, REGIONS, type Region } from './regions.ts';
// What for.
export { COMPLAINT_KINDS, COMPLAINT_NAMES, complaintName, type ComplaintKind } from './complaints.ts';
// How: pressure, what touches, how it moves, what kind of work, in which phase.
export { lighterOf, PRESSURE_KPA, pressureRank, PRESSURES, type Pressure } from './pressure.ts';
export {
  CONTACT_NAMES,
  CONTACTS,
  contactsLike,
  MOTIONS,
  PLACE_KINDS,
  TOOL_OF_CONTACT,
  type Contact,
  type Motion,
  type PlaceRef,
} from './touch.ts';
export {
  COMES_WITH,
  COMES_WITH_NAMES,
  CRAFTS,
  TECHNIQUE_TOOLS,
  type Craft,
  type PositionWord,
  type Role,
  type TechniqueTool,
  type ToolWord,
  type WorkWord,
} from './work.ts';
// Who with what: doer, needs, position, glide; where figures come from.
export {
  CLIENT_POSITIONS,
  DOER_NAMES,
  DOERS,
  GLIDE_NAMES,
  GLIDES,
  GROUND_NAMES,
  GROUNDS,
  NEED_NAMES,
  NEEDS,
  SOUGHT_FOR,
  type ClientPosition,
  type Doer,
  type Glide,
  type Ground,
  type Need,
  type SoughtFor,
} from './work.ts';
export { PHASE_NAMES, PHASES, type Phase } from './phases.ts';
export { POSITION_NAMES, TOOL_NAMES, WORK_NAMES } from './work-names.ts';
