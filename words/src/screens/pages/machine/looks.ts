/** What looks says. */
export const LOOKS_TEXT = {
  whatTheLoadsDid: 'What the loads did',
  at: (name: string | number, settingName: string | number) => `${name} at ${settingName}`,
  whatItDidSo: 'What it did',
  turnTheHandlesAboveTo: 'Turn the handles above to where it was wrong.',
  whatDidItDo: ': what did it do?',
  seen: 'Seen',
  seenBeforeJoining: 'Seen before joining',
  itCountsOnce:
    'It doesn’t count here until you confirm it: the other handles may have stood anywhere. Turn them as they were, then confirm.',
  stillSo: (where: string | number, name: string | number) => `Still so: ${where}, ${name}`,
  stillSo2: 'Still so',
  notSo: (where: string | number, name: string | number) => `Not so: ${where}, ${name}`,
  notSo2: 'Not so',
};
