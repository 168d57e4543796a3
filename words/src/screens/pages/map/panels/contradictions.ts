/** What contradictions says. */
export const CONTRADICTIONS_TEXT = {
  tooTangledAt: (settingName: string | number) => `Too tangled at ${settingName}`,
  soManyOfItsReadings:
    'Too many of its readings contradict each other to sort out here. Nothing is claimed about it. Undo bundles, the last ones first, or read pairs instead.',
  contradictionAt: (settingName: string | number) => `Contradiction at ${settingName}`,
  theseReadingsCannotAllBe: 'These readings cannot all be right.',
  ifAnyOneOfThe: 'If any one of the first is wrong, the rest agree:',
  noSingleSlipExplainsThem: 'No single slip explains them:',
  bundlesAreAmongThemThis:
    'Bundles are among them: this is one set of readings that cannot all hold, and there may be others.',
  checkTheClipOn: (clip: string) =>
    `Check the clip on ${clip}: it may not have made contact. If so, its open readings are false.`,
  theClipMadeNoContact: (clip: string) => `The clip on ${clip} made no contact`,
  seeThatNoClipTouches:
    'A clip that touches another lug makes a bundle read low. See that none does, then read the bundle again.',
  itMayAlsoBeParts: 'It may also be parts in series, each below the beeper’s threshold: read ohms.',
};
