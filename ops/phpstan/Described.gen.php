<?php

declare(strict_types=1);

/**
 * Made from docs/openapi.yaml by ops/phpstan/describe.php.
 *
 * @phpstan-type MeJson array{name: string, email: string, demo: bool}
 * @phpstan-type AccountJson array{name: string, email: string, demo: bool, studies: int, pencils: int, megabytes: int, mostMegabytes: int}
 * @phpstan-type GrainJson array{side: int, strata: int, tile: string, pressures: list<array{word: string, pressure: int|float, strokes: int}>}
 * @phpstan-type DrawerPencilJson array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>}
 * @phpstan-type DrawerJson array{pencils: list<DrawerPencilJson>}
 * @phpstan-type StrataJson list<string>
 * @phpstan-type TrayPencilJson array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, stock: StockJson, reading: ReadingJson, strata: StrataJson, lightStrata: StrataJson}
 * @phpstan-type TrayJson array{notShown: int, unfitted: int, order: string, pencils: list<TrayPencilJson>, meanStepDeltaE00: int|float, largestStep: array{from: string, to: string, deltaE00: int|float}|null, balance: array{words: string, counts: array<string, int>|object, families: array<string, list<string>>|object, crowded: list<string>, twins: list<array{one: string, other: string, deltaE00: int|float, waxAndOil: bool}>}, gaps: list<string>}
 * @phpstan-type PartnerJson array{pencil: DrawerPencilJson, words: string, strata: StrataJson}
 * @phpstan-type PencilPortraitJson array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, ring: array{families: list<string>, place: int|null, words: string}, brightener: PartnerJson|null, owned: bool, reading: ReadingJson, families: list<string>, hiding: int|float, hidingWords: string, undertone: string, swatches: array{heavy: StrataJson, light: StrataJson, overBlack: StrataJson}, ladder: list<array{pressureWord: string, pressureStrokes: int, coats: list<StackStepJson>}>, neutralisers: list<PartnerJson>, darkener: PartnerJson|null, standsOutBy: DrawerPencilJson|null, nearest: list<array{pencil: DrawerPencilJson, strata: StrataJson, owned: bool, heavyDeltaE00: int|float, lightDeltaE00: int|float, near: bool}>, threes: list<array{light: DrawerPencilJson, dark: DrawerPencilJson}>, stock: StockJson, usedMm: int|float, usedTimes: int, worn: array{laidMm: int|float, leftMm: int|float|null, words: string}}
 * @phpstan-type PencilLooksJson array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, ring: array{families: list<string>, place: int|null, words: string}, brightener: PartnerJson|null, owned: bool, reading: ReadingJson, families: list<string>, hiding: int|float, hidingWords: string, undertone: string, swatches: array{heavy: StrataJson, light: StrataJson, overBlack: StrataJson}, ladder: list<array{pressureWord: string, pressureStrokes: int, coats: list<StackStepJson>}>, neutralisers: list<PartnerJson>, darkener: PartnerJson|null, standsOutBy: DrawerPencilJson|null, nearest: list<array{pencil: DrawerPencilJson, strata: StrataJson, owned: bool, heavyDeltaE00: int|float, lightDeltaE00: int|float, near: bool}>, threes: list<array{light: DrawerPencilJson, dark: DrawerPencilJson}>}
 * @phpstan-type ShadeNameJson string
 * @phpstan-type PressureJson string
 * @phpstan-type SequencePassJson array{finish: string|null, care: string|null, pencil: DrawerPencilJson|null, pressures: array<string, PressureJson|null>|object, words: string, reason: string|null, dabs: array<string, DabJson>|object}
 * @phpstan-type DabJson array{hex: string, strata: list<string>, colourWords: string, toothUsed: int|float, evenness: string}
 * @phpstan-type OutcomeJson array{stack: string, hex: string, deltaE00: int|float, valueError: int|float, closenessWords: string, errorOnPaper: int|float, errorInHand: int|float, missed: int|float, sway: int|float, steadinessWords: string, doubt: int|float, toothUsed: int|float, toothWords: string, grain: int|float, evenness: string}
 * @phpstan-type SequenceJson array{label: string, words: string, passes: list<SequencePassJson>, outcomes: array<string, OutcomeJson>|object, warnings: list<WarningJson>, errorOnPaper: int|float, errorInHand: int|float, missed: int|float, grain: int|float}
 * @phpstan-type WarningJson array{code: string, pass: int, shades: list<string>, where: string, text: string, remedy: string}
 * @phpstan-type PlanSequenceJson array{label: string, words: string, passes: list<SequencePassJson>, outcomes: array<string, OutcomeJson>|object, warnings: list<WarningJson>, errorOnPaper: int|float, errorInHand: int|float, missed: int|float, grain: int|float, own: bool}
 * @phpstan-type PlanAnswersJson array{answers: list<SequenceJson>}
 * @phpstan-type PlanShadeJson array{shade: ShadeNameJson, name: string, seen: ReadingJson, aim: ReadingJson, overruled: array<string, string>|object}
 * @phpstan-type PlanZoneJson array{number: int, name: string, area: int|float, surface: string, importance: string, method: list<string>|null, hue: string|null, strokes: int|null, sequence: PlanSequenceJson|null, shades: list<PlanShadeJson>}
 * @phpstan-type PlanRunJson array{state: string, what: string, done: int, total: int, changes: list<array{zone: string, why: string, before: string|null, after: string}>}
 * @phpstan-type PlanPencilJson array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, owned: bool, strata: StrataJson, words: string, zones: list<int>, part: string|null}
 * @phpstan-type PlanJson array{run: PlanRunJson|null, settings: array{method: list<string>, mode: string, pencils: int|null, keep: list<string>, without: list<string>, hue: string}, startingPoints: list<array{value: string, title: string, why: string, settings: list<string>}>, methodSettings: list<array{name: string, title: string, choices: list<array{value: string, why: string}>}>, hues: list<string>, undoWords: string|null, redoWords: string|null, named: list<array{number: int, name: string}>, version: int, stamp: int, cannot: string|null, zones: list<PlanZoneJson>, palette: list<PlanPencilJson>, left: list<array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, lockedOut: bool}>, curve: list<array{pencils: int, deltaE00: int|float}>, suffering: list<array{zone: string, deltaE00: int|float}>, warnings: list<array{code: string, zone: int, shade: string, text: string, remedy: string}>, tone: string, waiting: int, steps: int, time: string, passes: int, meanDeltaE00: int|float, errorOnPaper: int|float, errorInHand: int|float, pressures: list<array{pressure: PressureJson, strokes: int, share: int|float}>, finishes: list<string>}
 * @phpstan-type PlanChangeJson array{kind: string, key: string, zone?: int, shade?: ShadeNameJson, settings?: list<string>|null, mode?: string, count?: int|null, pencil?: string, how?: string, x1?: int|float, y1?: int|float, x2?: int|float, y2?: int|float, pass?: int, passes?: list<array{tool: string, pressures: array<string, PressureJson|null>|object}>|null, hue?: string|null, what?: string, code?: string, note?: string|null}
 * @phpstan-type DeskHabitsJson array{workOrder: string, hand: string, session: int, thin: int, wet: int, pace: int|float, breaks: bool}
 * @phpstan-type DeskHabitsChangeJson array{workOrder?: string, hand?: string, session?: int, thin?: int, wet?: int, breaks?: bool}
 * @phpstan-type DeskDabJson array{hex: string, strata: list<string>, evenness: string}
 * @phpstan-type DeskShadeJson array{shade: string, name: string, seen: string, pressure: string|null, before: DeskDabJson, after: DeskDabJson}
 * @phpstan-type DeskStepJson array{zone: int, zoneName: string, position: int, pass: int, coats: int, of: int, finish: string|null, care: string|null, pencil: DrawerPencilJson|null, pressures: array<string, string|null>|object, how: string, reason: string|null, point: string, strokes: string, pieces: string|null, runsOut: string|null, shades: list<DeskShadeJson>, warnings: list<string>, body: list<string>, minutes: int|float, dries: int|float, turn: int}
 * @phpstan-type DeskToolJson array{strata: list<string>, finish: string|null, care: string|null, layOut: string, pencil: DrawerPencilJson|null}
 * @phpstan-type DeskTickJson array{id: int, kind: string, zone: int, zoneName: string, words: string, at: int}
 * @phpstan-type NewTickJson array{kind: string, zone: int, position: int, tool: string, pressures: array<string, string>|object, coats?: int, at: int}
 * @phpstan-type DeskJson array{stamp: int, sessionEnds: bool, habits: DeskHabitsJson, finishes: list<string>, workOrders: list<array{value: string, words: string}>, cannot: string|null, unplanned: string|null, steps: list<DeskStepJson>, sessions: list<array{body: list<string>, steps: int, minutes: int|float, tools: list<DeskToolJson>}>, zones: list<array{graded: list<LineJson>, touches: list<array{shade: string, outlines: list<list<int|float>>}>, outlines: list<list<int|float>>, number: int, name: string, laid: int, left: int, astray: bool, ticks: int}>, ticks: list<DeskTickJson>, wet: list<array{zone: int, until: int}>, howFar: string, minutesLeft: int|float, pencils: list<DrawerPencilJson>}
 * @phpstan-type DeskFinishedJson array{findings: list<array{what: string, zone: int, text: string, step: string}>}
 * @phpstan-type PlanProgressJson array{run: array{state: string, what: string, done: int, total: int}|null}
 * @phpstan-type PlanRampJson array{zone: string, joining: string, joiningWords: string, pencils: list<array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, from: int|float, to: int|float}>, overlaps: list<list<int|float>>, unevenness: int|float, steps: list<array{share: int|float, words: string, strata: StrataJson, passes: list<array{number: string, pressureWord: string, pressure: int|float}>}>, photo: list<string>}
 * @phpstan-type ValueRunsJson array{photo: list<int|float>, plan: list<int|float>}
 * @phpstan-type StockStateJson string
 * @phpstan-type StockJson array{state: StockStateJson, owned: bool, lengthLeft: int|float|null, discontinued: bool, formerly: list<string>, notes: string, words: string}
 * @phpstan-type StockChangeJson array{id: string, stock?: StockStateJson, lengthLeft?: int|float|null, discontinued?: bool, formerly?: list<string>, notes?: string}
 * @phpstan-type DrawerLinesJson array{formats: list<array{kind: string, ending: string, name: string, holds: string}>, lines: list<array{line: string, pencils: int, owned: int}>, undoWords: string|null, stamp: int}
 * @phpstan-type ChartPencilJson array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, owned: bool, strata: StrataJson, words: string}
 * @phpstan-type DrawerReachJson array{paper: string, share: int|float, outline: list<int|float>, outlineOfAll: list<int|float>, purchases: list<array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, owned: bool, strata: StrataJson, words: string, gain: int|float}>}
 * @phpstan-type PlanLightJson array{light: string, words: string, parted: list<array{zone: string, shade: string, deltaE00: int|float}>}
 * @phpstan-type PlanWorkJson array{steps: list<string>, sessions: list<array{ends: int, words: string, raw: string|null}>}
 * @phpstan-type StudyPurchasesJson array{study: string, colours: int, seen: list<array{hex: string, chroma: int|float, hueDegrees: int|float}>, purchases: list<array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, owned: bool, strata: StrataJson, words: string, deltaE00: int|float}>}
 * @phpstan-type LineTableJson array{from: string, to: string, rows: list<array{from: ChartPencilJson, to: ChartPencilJson, near: bool, heavyDeltaE00: int|float, lightDeltaE00: int|float}>}
 * @phpstan-type StandInJson array{nearest: array{id: string, line: string, number: string, name: string, binder: string|null, assumed: list<string>, owned: bool, strata: StrataJson, words: string, heavyDeltaE00: int|float, lightDeltaE00: int|float}, heavy: SequenceJson, light: SequenceJson}
 * @phpstan-type ChartCellJson array{strata: StrataJson, words: string}
 * @phpstan-type MixingChartJson array{pressures: list<string>, paper: string, beneath: string, above: string, pencils: list<ChartPencilJson>, pairs: list<list<ChartCellJson>>, orders: list<array{strata: StrataJson, words: string, numbers: list<string>}>}
 * @phpstan-type ImportChoicesJson array{known: string, twice: string, others: string}
 * @phpstan-type ImportPreviewJson array{counts: array{new: int, changed: int, same: int, dropped: int, problems: int}, problems: list<string>, twice: list<array{rows: list<int>, id: string, differs: list<string>}>, rows: list<array{row: int, what: string, id: string, number: string, name: string, line: string, stock: string}>}
 * @phpstan-type DrawerImportJson array{id: int, state: string, done: int, total: int, choices: ImportChoicesJson, preview: ImportPreviewJson|null}
 * @phpstan-type NewSheetJson array{pencils: string, line: string|null, size: string, paper?: string}
 * @phpstan-type SheetColourJson array{pencil: string, kind: string, hex: string|null}
 * @phpstan-type SheetBoxJson array{kind: string, hex: string, filled: bool, doubt: int|float, doubtful: bool, note: string|null, corrected: bool}
 * @phpstan-type SheetJson array{id: int, size: string, paper: string, pages: int, pagesRead: int, line: string, measured: int, photo?: string, pencils: list<array{id: string, number: string, name: string, boxes: list<SheetBoxJson>}>}
 * @phpstan-type SheetsJson array{sheets: list<SheetJson>, papers: list<string>}
 * @phpstan-type CheckedColourJson array{hex: string, lab: list<int|float>}
 * @phpstan-type DrawingFindingJson array{zone: string, number: int, shade: string, name: string, area: int|float, expected: CheckedColourJson, found: CheckedColourJson, aim: CheckedColourJson, deltaE00: int|float, valueError: int|float, words: string, move: array{words: string, asPlanned: bool, lifts: int, pencil: string|null, pressure: string|null, endDeltaE00: int|float}}
 * @phpstan-type DrawingCheckJson array{id: int, passes: int, zones: list<ZoneLaidJson>, made: string, summary: string, alike: int|float, meanDeltaE00: int|float, corners: list<list<int|float>>, findings: list<DrawingFindingJson>}
 * @phpstan-type ZoneLaidJson array{zone: int, name: string, passes: int}
 * @phpstan-type DrawingChecksJson array{checks: list<DrawingCheckJson>}
 * @phpstan-type RungJson array{words: string, hex: string, strata: StrataJson}
 * @phpstan-type StripAskedJson array{stack: string, words: string, ladder: list<RungJson>}
 * @phpstan-type StripCameJson array{stack: string, words: string, meantHex: string, foundHex: string, deltaE00: int|float, fault: string, move: string, toothUsed: int|float}
 * @phpstan-type HandVersionJson array{number: int, words: string, strips: int, made: string, inUse: bool}
 * @phpstan-type HandFiguresJson array{number: int, words: string, strips: int, pressure: int|float, laydown: int|float, spread: int|float, drag: int|float, packing: int|float, contact: int|float, rmsBeforeDeltaE00: int|float, rmsAfterDeltaE00: int|float}
 * @phpstan-type HandJson array{paper: string, hand: HandFiguresJson|null, versions: list<HandVersionJson>, strips: list<StripAskedJson>, came: list<StripCameJson>}
 * @phpstan-type StripsSaidJson array{strips: list<array{stack: string, rung?: int, hex?: string, lab?: list<int|float>}>}
 * @phpstan-type HandChoiceJson array{number: int}
 * @phpstan-type StripsReadJson array{boxes: list<array{stack: string, try: string, hex: string, filled: bool, doubt: int|float, note: string|null}>, photo?: string}
 * @phpstan-type StudyJson array{id: int, name: string, paper: string, paperHex: string, hand: string|null, photoId: int, photoName: string, photoWidth: int, photoHeight: int, pictureWidthMm: int|float}
 * @phpstan-type StudyChangeJson array{name?: string, paper?: string, drawingWidthMm?: int|float, drawingHeightMm?: int|float, gridMm?: int|float, cutPlace?: int|float, colourPhoto?: int}
 * @phpstan-type PhotoRoleJson string
 * @phpstan-type PhotoJson array{id: int, name: string, width: int, height: int, roles: list<PhotoRoleJson>, neutral: ReadingJson|null}
 * @phpstan-type LineJson list<int|float>
 * @phpstan-type SpotPlaceJson array{photo: int, x: int|float, y: int|float, ring: int, placed: bool, reading: ReadingJson}
 * @phpstan-type NamedSpotJson array{number: int, name: string, families: list<string>, nearest: NearestSingleJson|null, places: list<SpotPlaceJson>}
 * @phpstan-type RunShadeJson string
 * @phpstan-type NewTouchJson array{name: string, x: int|float, y: int|float}
 * @phpstan-type TouchJson array{name: string, x: int|float, y: int|float, shade: ShadeNameJson, share: int|float, reading: ReadingJson, outlines: list<LineJson>}
 * @phpstan-type ZoneShadeJson array{shade: RunShadeJson, name: string, place: int|float, moved: bool, reading: ReadingJson}
 * @phpstan-type ImportanceJson string
 * @phpstan-type SurfaceJson string
 * @phpstan-type DistanceJson string
 * @phpstan-type ZoneJson array{number: int, name: string, importance: ImportanceJson, surface: SurfaceJson, distance: DistanceJson, area: int|float, keptWhite: int|float, range: list<int|float>, run: list<string>, shades: list<ZoneShadeJson>, missing: list<string>, renamed: bool, touches: list<TouchJson>, placed: bool, pieces: list<ZonePieceJson>, outlines: list<LineJson>}
 * @phpstan-type ZonePieceJson array{where: string, area: int|float, x: int|float, y: int|float}
 * @phpstan-type NeighboursJson array{one: int, other: int, stepsApart: int|float, push: int, lighter: bool, words: string, lines: list<LineJson>}
 * @phpstan-type BorderJson array{one: int, other: int, said: string|null, graded: list<LineJson>}
 * @phpstan-type ZonesJson array{list: list<ZoneJson>, neighbours: list<NeighboursJson>, borders: list<BorderJson>, keptWhites: array{from: int|float, share: int|float, outlines: list<LineJson>}}
 * @phpstan-type FrameJson array{drawingWidthMm: int|float, drawingHeightMm: int|float, gridMm: int|float, cutPlace: int|float, left: int|float, top: int|float, width: int|float, height: int|float, across: list<int|float>, down: list<int|float>}
 * @phpstan-type SurveyJson array{stamp: int, number: int, undoWords: string|null, redoWords: string|null, colourPhoto: int, photos: list<PhotoJson>, spots: list<NamedSpotJson>, zones: ZonesJson|null, frame: FrameJson}
 * @phpstan-type SurveyChangeJson array{kind: string, key: string, name?: string, photo?: int, x?: int|float, y?: int|float, ring?: int, spot?: int, most?: int, zone?: int|null, with?: int, meets?: string, line?: list<list<int|float>>, outline?: list<list<int|float>>, points?: list<list<int|float>>, importance?: ImportanceJson, surface?: SurfaceJson, distance?: DistanceJson, shade?: RunShadeJson, touches?: list<NewTouchJson>, place?: int|float, from?: int|float, keep?: bool, radius?: int|float}
 * @phpstan-type ValuesJson array{steps: int, fromLightest: bool, shares: list<int|float>, greys: list<string>}
 * @phpstan-type DifferenceJson array{name: string, words: string, steps: int|float, warmth: int|float, deltaE00: int|float, oneHex?: string, otherHex?: string}
 * @phpstan-type ComparisonJson array{one: int, other: int, sentence: string, bands: list<DifferenceJson>, spots: list<DifferenceJson>, zones: list<DifferenceJson>}
 * @phpstan-type StudiesJson array{studies: list<StudyJson>, papers: list<string>}
 * @phpstan-type LabJson list<int|float>
 * @phpstan-type ReadingJson array{hex: string, lab: LabJson, valueStep: int, valueSteps: int, words: string, family: string, strength: string, temperature: string, chroma: int|float, hueDegrees: int|float}
 * @phpstan-type SpotJson array{hex: string, lab: LabJson, valueStep: int, valueSteps: int, words: string, family: string, strength: string, temperature: string, chroma: int|float, hueDegrees: int|float, spread: int|float, mixed: bool}
 * @phpstan-type StackStepJson array{hex: string, strata: list<string>, colourWords: string, toothUsed: int|float, evenness: string, finish: string|null, pencil: DrawerPencilJson|null, care: string|null, pressure: int|float|null, pressureWord: string|null, pressureStrokes: int|null, lab: LabJson, valueStep: int}
 * @phpstan-type NearestSingleJson array{pencil: DrawerPencilJson, deltaE00: int|float, closenessWords: string}
 * @phpstan-type RecipesJson array{target: SpotJson, nearestSingle: NearestSingleJson, recipes: list<SequenceJson>}
 * @phpstan-type NewKeptRecipeJson array{name: string, label: string, stack: string, x: int, y: int, ring: int}
 * @phpstan-type KeptRecipeJson array{id: int, name: string, x: int, y: int, ring: int, paper: string, stack: string, label: string, target: ReadingJson, recipe: SequenceJson|null}
 * @phpstan-type KeptRecipesJson array{entries: list<KeptRecipeJson>, stamp: int, undoWords: string|null}
 * @phpstan-type MeantJson array{of?: int|null}
 * @phpstan-type NewBookRecipeJson array{zone?: int, spot?: int, name?: string, words?: string, outcome?: string}
 * @phpstan-type BookRecipeWordsJson array{name?: string, words?: string, outcome?: string}
 * @phpstan-type BookRecipeJson array{id: int, name: string, words: string, paper: string, study: string, kept: int, outcome: string, cutout: string|null, deltaE00: int|float|null, shades: list<array{shade: ShadeNameJson, name: string, hex: string, strata: list<string>}>, passes: list<array{tool: string, number: string, name: string, pressures: array<string, PressureJson>|object}>}
 * @phpstan-type BookRecipesJson array{recipes: list<BookRecipeJson>, found: int, more: int}
 * @phpstan-type LaidAgainJson array{id: int, paper: string, standIns: list<array{missing: string, by: string, steps: int, deltaE00: int|float, words: string}>, sequence: SequenceJson}
 * @phpstan-type SkillJson string
 * @phpstan-type DrillDabJson array{words: string, dab: list<string>}
 * @phpstan-type DrillJson array{skill: SkillJson, difficulty: int, seed: int, again: bool, question: string, place: list<int|float>|null, shown: list<DrillDabJson>, choices: list<DrillDabJson>}
 * @phpstan-type DrillChoiceJson array{skill: SkillJson, difficulty: int, seed: int, choice: int}
 * @phpstan-type TrainingJson array{skills: list<array{skill: SkillJson, difficulty: int, tries: int, right: int, weeks: list<array{from: int, right: int|float}>}>, next: array{skill: SkillJson, advice: string}|null}
 * @phpstan-type PracticeJson array{skills: list<array{skill: SkillJson, difficulty: int, tries: int, right: int, weeks: list<array{from: int, right: int|float}>}>, next: array{skill: SkillJson, advice: string}|null, drill: DrillJson|null}
 * @phpstan-type DrillAnswerJson array{skills: list<array{skill: SkillJson, difficulty: int, tries: int, right: int, weeks: list<array{from: int, right: int|float}>}>, next: array{skill: SkillJson, advice: string}|null, right: bool, answer: int, because: string, after: list<DrillDabJson>}
 * @phpstan-type SharedSaidJson array{photo: int|null, note: string, at: int|null}
 * @phpstan-type SharedNoteJson array{photo: int|null, note: string}
 * @phpstan-type SharedLinkJson array{link: array{photo: int|null, note: string, at: int|null, path: string, photoName: string|null}|null}
 * @phpstan-type SharedPlanJson array{name: string, paper: string, errorOnPaper: int|float, isPlanned: bool, photos: list<array{id: int, name: string, isFollowed: bool, width: int, height: int}>, zones: list<array{number: int, name: string, words: string, errorOnPaper: int|float|null, shades: list<array{name: string, seen: string, comes: string|null}>}>, steps: int, said: SharedSaidJson}
 * @phpstan-type TakenInJson array{pencils: int, studies: int, known: int, recipes: int, practice: int, problems: list<string>}
 * @phpstan-type LatestAccountImportJson array{import: AccountImportJson|null}
 * @phpstan-type AccountImportJson array{id: int, state: string, done: int, total: int, taken: TakenInJson|null, problem: string|null}
 * @phpstan-type SessionNoteJson array{session: int, note: string}
 * @phpstan-type LogTotalJson array{sessions: int, passes: int, minutes: int|float, usedMm: int|float}
 * @phpstan-type LogTotalOfJson array{sessions: int, passes: int, minutes: int|float, usedMm: int|float, of: int, name: string}
 * @phpstan-type LogToolJson array{id: string, number: string, name: string, hex: string|null, usedMm: int|float}
 * @phpstan-type LogSessionJson array{id: int, study: int, studyName: string, began: int, ended: int, minutes: int|float, passes: int, leftOut: int, zones: list<string>, tools: list<LogToolJson>, note: string, checks: list<int>}
 * @phpstan-type LogJson array{sessions: list<LogSessionJson>, more: int, total: LogTotalJson, weeks: list<LogTotalOfJson>, years: list<LogTotalOfJson>, studies: list<LogTotalOfJson>}
 * @phpstan-type PencilSupplyJson array{study: string, pencils: list<array{id: string, number: string, name: string, hex: string|null, line: string, stock: string, usedMm: int|float, leftMm: int|float|null, neededMm: int|float, short: int|float, runsLow: bool, words: string}>, overruled: list<array{zone: string, shade: string, code: string, reason: string}>}
 * @phpstan-type ProblemJson array{type: string, title: string, status: int, detail: string, problems?: list<string>}
 */
final class Described
{
}
