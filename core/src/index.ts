// Contents, in reading order: parts, the build, placing, figures, snags, the assessment, remedies.
export { archetypeSchema, sheetSchema, type Archetype, type Basis, type Money, type Sheet } from './parts/sheet';
export { checkSheet, containedIn, type SheetFault } from './parts/checkSheet';
export { basisOf, factOf, resolve, type Fact, type Part, type PartOf } from './parts/resolve';
export { rangeOf } from './parts/tolerances';
export { isFound } from './parts/factSearch';
export { countEdit } from './build/newItem';
export { readNumber } from './parts/readNumber';
export { otherCurrencies } from './figures/cost/money';
export { choiceWords } from './parts/fieldWords';
export { fieldsOf, readField, type Field } from './parts/fields';
export {
  askOf,
  blankOf,
  placeWords,
  rowChoiceWords,
  ROW_KEY,
  withAnother,
  type Ask,
  type AskField,
} from './parts/rows';
export { classSheet, classSheetId, isClassSheet } from './parts/classSheet';
export { ownSheet, ownSheetId, type OwnAnswers, type SoldWhen } from './parts/ownSheet';
export { reshape, type ChassisDraft } from './parts/reshape';
export {
  CATALOGUE_FORMAT,
  readPartsFile,
  writePartsCsv,
  type AboutFile,
  writePartsJson,
  type FileRow,
  type ReadFile,
} from './parts/catalogueFile';
export { readableCatalogue, type ReadableCatalogue, type UnreadablePart } from './parts/readableCatalogue';
export { PART_KINDS, type PartKind } from './parts/vocabulary';
export type { NonEmpty } from './lists';
export type { ArchetypeId, ItemId, SheetId, UnitId } from './parts/ids';

export {
  briefSchema,
  buildSchema,
  siteSchema,
  type Brief,
  type Service,
  type Build,
  type Reading,
  type Item,
  type Price,
  type Site,
  type Unit,
} from './build/build';
export { LIMITS } from './parts/limits';
export { buildJsonSchema, partsJsonSchema } from './build/jsonSchema';
export { newBuild } from './build/newBuild';
export { briefAt } from './build/stageBrief';
export { countPart, countText, countValue, type Passed } from './parts/counted';
export { issueWords, parseList, type Issue, type Pieces } from './build/piecewise';
export { FORMAT, upgradeEdits } from './build/upgrades/upgrade';
export { parseBuild, parseBuildText, type JudgedParts, type Parsed, type Refused } from './build/parseBuild';
export { editSchema, type Edit, type EditOf } from './build/edits';
export { differenceOf, type Difference } from './build/difference';
export { applyEdit } from './build/applyEdit';
export type { Refusal } from './build/refusal';
export { addItemEdit } from './build/newItem';
export { closureOf, type Catalogue } from './parts/catalogue';
export {
  freeOf,
  overclaims,
  stockClaims,
  stockEntrySchema,
  type Overclaim,
  type StockClaim,
  type StockEntry,
} from './stock/stock';
export { batchesOf } from './parts/batches';
export { readStock, writeStockJson, type StockRead } from './stock/stockFile';
export { buildOfStock, ownedOf } from './stock/buildOfStock';
export type { Found } from './stock/found';
export { readListings, type ReadListings } from './stock/listings';
export { EMPTY_LAYOUT, parseSpot, printSpot, type Layout, type Seat, type SpotRef, type Wire } from './build/layout';

export { layOut, supplyBox, type Box, type ChassisPlan } from './geometry/chassisPlan';
export { dataDrives, rolesOf, type Role } from './machine/roles';
export { sittersBySpot } from './machine/sitters';
export { bodyOf } from './geometry/bodies';
export { sceneOf, type Scene, type SceneBox } from './geometry/scene';
export type { Solid } from './geometry/solid';
export { checkLayout, type Violation } from './solve/checkLayout';
export { solve } from './solve/solve';
export { problemOf, type Outcome, type Problem } from './solve/problem';
export { verdictOf, type Verdict } from './verdict';
export { acceptedReason, withAccepted, withoutAccepted } from './snags/accepted';
export { makeStep, replay, wantsSettling, type Step } from './build/step';
export { commit, settleEdit } from './solve/settle';
export { isCard, isKind, ofKind, plannedUnits, unitsById, type PlannedUnit } from './machine/units';
export { panelsOf, PAPERS, tilesOf, type CutOut, type Panel, type Paper, type Tile } from './geometry/panels';
export { fanWalls, type FanWall } from './machine/fanWalls';
export { changeEffects, modsFor, type Mod } from './machine/chassisChanges';
export { coveredSlots, reaches, type Reach } from './geometry/reach';
export { memoryRoom, type MemoryRoom } from './machine/memoryRoom';
export { plugsEnd } from './geometry/plugRoom';
export { groupAt } from './machine/spotAt';
export { spotsOf, type SpotGroup, type SpotType } from './machine/spots';
export { mismatch, type Mismatch } from './machine/accepts';
export { tracePath, wireOf } from './links/trace';
export { cableKindById, CABLE_KINDS, type CableKind } from './links/cableKinds';
export { freeBays } from './figures/room';
export type { CableNeeds, Need } from './needs/cables';
export { type SmallNeed } from './needs/small';
export { wiringFor } from './wiring/wiring';
export { plugWord } from './plugs/words';
export {
  cablePeak,
  inputWords,
  otherCables,
  powerBoxes,
  powerSchedule,
  putPlug,
  type PlugUse,
  type PowerBox,
  type PowerCable,
  type PowerLine,
} from './figures/power/plugRows';
export { powerCsv } from './figures/power/plugCsv';
export type { Budget, HostLink, HostRow, CableRow, LooseEnd, ModuleRow, Wiring } from './wiring/rows';
export { offersOf, setAside, takeOffer, type OfferTold } from './bill/offers';
export { headerLines, type HeaderLine } from './wiring/headers';
export { lengthWords, scheduleOf, sourceWords, type ScheduleLine } from './wiring/schedule';
export { scheduleCsv } from './wiring/scheduleCsv';
export { bayWords, hostWords } from './wiring/cableWords';
export { otherEnds, otherPorts, type OtherEnd, type OtherPort } from './wiring/moveCable';

export { projectBox, viewSize, type FlatShape, type Flat, type ViewName, VIEW_NAMES } from './geometry/project';

export { elevationOf, type Elevation } from './geometry/elevation';
export { drawingSvg } from './geometry/svg';
export { BILL_GROUPS, billOf, type Bill, type BillGroup, type BillLine } from './bill/bill';
export {
  compareBuilds,
  type Against,
  type Cell,
  type ComparedBy,
  type ComparedRow,
  type Comparison,
  type Payback,
} from './compare/compare';
export type { Met, WishRow } from './compare/wishes';
export type { Outline } from './compare/outline';
export { reuseOf, type Reused } from './bill/reuse';
export { runningOf, type Running } from './bill/running';
export { billCsv } from './bill/billCsv';
export { ordersOf } from './bill/orders';
export { readBill, type BillReading } from './bill/readBill';
export { putMains } from './figures/power/upsShares';
export { powerOf, type BoxPower, type MainsLine, type Power, type StateDraw } from './figures/power/powerOf';
export { kitPrint } from './build/kitPrint';
export {
  readingsTold,
  reckonedNow,
  type Explained,
  type ReadingsTold,
  type ReadingTold,
} from './figures/readings/readings';
export { quieten, type Quieter, type QuietProgress } from './remedies/quieten/quieten';
export type { Direction, Flow, Loaded, Rate } from './flow/flow';
export { waysThrough } from './flow/waysThrough';
export { linkInside, linkName } from './flow/linkWords';
export { flowTold, type Burst, type CardShare, type FlowTold, type PoolFlow } from './flow/flowTold';
export type { FlowLink } from './flow/links';
export type { Rebuild } from './flow/rebuild';
export { joinings, type Joining } from './pool/joining';
export { poolTold, type PoolDrive, type PoolSeen, type SetSeen } from './pool/poolTold';
export { stillWalls } from './figures/air/stillWalls';
export { breaksOf, type Breaks, type SetState, type Struck, type StruckAlone, type Thing } from './pool/breaks';
export { dealtOut, type Dealt } from './pool/deal';
export { stagesWork, type StageWork } from './remedies/stagesWork';
export { dealtPlaces, type MovedOut } from './remedies/dealPlaces';
export { LAYOUTS, type PoolSet, type SetLayout } from './pool/layouts';
export { FULL_SHARE } from './pool/risk';
export { enduranceOf, memoryTold, monthsUntilFull, type MemoryTold, type Worn } from './pool/lasting';
export { growthOf, nextDrives, type Growth, type NextDrives } from './remedies/growth';
export { poolOf } from './pool/setsOf';
export type { PoolTold, PoolWay } from './pool/ways';
export { heardTicks, type HeardTicks } from './figures/sound/ticks';
export { cupboardOf, siteWith } from './figures/air/around';
export { soundOverAir, targetOf, type OverAir } from './figures/air/overAir';
export {
  sameTemperature,
  type AtDuty,
  type Compared as AtSameTemperature,
  type SameTemperature,
} from './figures/air/sameTemperature';
export { airOf, marginOf, type Air, type AirInBox, type AirTry, type Heard, type WarmRow } from './figures/air/airOf';
export type { Section } from './figures/air/section';
export type { Day, InsideAir } from './figures/air/moment';
export { cableGone, goneOf, type CableGone, type Gone } from './figures/power/gone';
export { START_SHARE, type Mildest, type SpinUp, type StartCurve } from './figures/power/startCurve';
export type { Year } from './figures/power/year';
export type { UpsTime } from './figures/power/upsTime';
export type { Share } from './figures/shares';
export { FIGURES, FIGURE_IDS, type Explanation, type Figure, type FigureId, type Figures } from './figures/figures';
export { isFact, Ledger, type Working } from './figures/quantity';
export { minorPerMajor } from './parts/currency';

export type { Place, Severity } from './snags/finding';
export { placeName, type Snag } from './snags/snag';
export { SNAG_CODES, WORDS, wordsOf, type SnagCode } from './snags/words';
export { rulesPage } from './snags/rulesPage';

export { cardOf, type Card } from './card';
export { assess, createAssessor, type Assessment, type Assessor, type AssessOptions } from './assess';
export type { OpenThing, Status } from './open';

export { weigh, type Base, type Owned, type Standing, type Weighed } from './remedies/weigh';
export {
  freeAlike,
  mismatchWords,
  putEdits,
  replaceEdit,
  spotGroup,
  tryAt,
  type TryAsk,
  type TryRow,
} from './remedies/tryAt';
export {
  supplyOffers,
  type SupplyChoice,
  type SupplyLoss,
  type SupplyOffer,
  type SupplyPoint,
} from './remedies/supplies';
export { movers, type Mover } from './remedies/movers';
export { sizesFor, type SizeRow, type Sizes } from './remedies/sizes';
export { drivesReached, fewestDrives, hasNoSupply, mostTbIn, mostTbWith } from './remedies/lookAhead';
export { wishGap } from './remedies/wishGap';
export { allRemedies, conflictLines, remediesFor, type Remedy } from './remedies/remedies';
export { hostDrives, poolDrives, type Hosting } from './remedies/hosting';
export { whyNot, type WhyNot } from './remedies/whyNot';

export { readSpec, SPEC_CHARACTERS, type SpecReading } from './specs/readSpec';
export type { ReadField } from './specs/readField';
export { classFor, sheetOfSpec } from './specs/sheetOf';
export { listsOf } from './specs/lists/listsOf';
export type { Place as SpecPlace } from './specs/lists/places';
