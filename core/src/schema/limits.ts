/**
 * What the program takes at most, one definition each: used where things are typed, in the schema of the events, and at the
 * server's door. Text lengths count characters as people see them (code points).
 */

/** Terminals of a switch; so a bundle, a sweep or a list of labels never needs more. */
export const MOST_TERMINALS = 96;
export const MOST_POSITIONS_OF_A_HANDLE = 64;
export const MOST_HANDLES = 16;
export const MOST_SETTINGS = 256;

export const LABEL_LETTERS = 24;
export const POSITION_NAME_LETTERS = 40;
export const HANDLE_NAME_LETTERS = 40;
export const CONDITION_LETTERS = 80;
/** A title, a place, the name of an entry. */
export const TITLE_LETTERS = 120;
export const NOTE_LETTERS = 4000;
export const REASON_LETTERS = 300;
export const PERSON_LETTERS = 80;
export const WIRE_TAG_LETTERS = 12;
export const WIRE_SIZE_LETTERS = 24;
export const GOES_TO_LETTERS = 80;
export const PART_NOTE_LETTERS = 200;
export const CAPTION_LETTERS = 200;
export const STEP_LETTERS = 300;
export const LOOSE_LETTERS = 200;
export const MARKING_LETTERS = 120;
export const MECHANICS_LETTERS = 120;
export const FASTENER_PLACE_LETTERS = 120;
export const SISTER_LETTERS = 200;
export const CODE_NOTE_LETTERS = 2000;
export const SHOP_NAME_LETTERS = 80;
export const METER_NAME_LETTERS = 80;
export const FAMILY_LETTERS = 80;
export const LINK_NAME_LETTERS = 60;
/** What was done at a line of the safety list, where a live reading was taken, by which source a tester was proved. */
export const SAFETY_NOTE_LETTERS = 200;
export const PROVING_SOURCE_LETTERS = 120;
/** What stands beside an explanation, a signature, a library entry. */
export const REMARK_LETTERS = 500;
/** The name of a kind of event, and the code of a refusal. */
export const KIND_LETTERS = 40;
export const CODE_LETTERS = 60;

/** Kinds of fasteners of one step of the strip log. */
export const MOST_FASTENERS = 24;
export const MOST_FASTENERS_OF_A_KIND = 99;
/** Pairs of a quick check: more than that is a map. */
export const MOST_NAMED_PAIRS = 400;
export const MOST_CONTACTS_ASKED = 4000;
export const MOST_SAFETY_LINES = 40;
/** Meters of its own that a shop describes. */
export const MOST_SHOP_METERS = 40;
/** Points and readings of a proof of dead. */
export const MOST_DEAD_POINTS = 24;
export const MOST_DEAD_READINGS = 400;
export const POINT_LETTERS = 40;
export const MOST_LINKS = 80;
export const MOST_NODES = 120;

/** Edge of a photo, in pixels. */
export const PHOTO_EDGE = 40_000;
export const PHOTO_MEGABYTES = 25;
export const PHOTO_BYTES = PHOTO_MEGABYTES * 1024 * 1024;
/** Larger pictures are refused before they are unpacked. */
export const PHOTO_PIXELS = 120_000_000;

/** Bytes of one event as JSON, and of one request that brings some. */
export const EVENT_BYTES = 512 * 1024;
export const BATCH_BYTES = 768 * 1024;
export const BATCH_EVENTS = 100;
/** Levels of lists and objects inside one another, in anything that is taken in. */
export const MOST_LEVELS = 64;
/** Bytes of one piece of a file that is taken in (an event, an entry, the head of a job): what is larger is none of ours. */
export const PIECE_BYTES = 4 * 1024 * 1024;
/** How far an event's clock may be beyond every clock that its job has seen: farther is no clock but a fault. */
export const CLOCK_LEAP = 1_000_000;

/** What is typed into fields that hold a number, as characters: the numbers themselves have limits of their own. */
export const NUMBER_LETTERS = 12;
/** The words of a search. */
export const SEARCH_LETTERS = 120;
/** A table, or what a switch does, that is typed in. */
export const TABLE_LETTERS = 4000;
/** A figure with its unit, or a few key names. */
export const FIGURE_LETTERS = 20;
/** Where another switch is and what it does, in a line. */
export const ANOTHER_SWITCH_LETTERS = 90;
/** Letters of what a talking meter begins a line with, and of a unit as it writes it. */
export const [DRIVER_LETTERS, UNIT_LETTERS] = [20, 12];
