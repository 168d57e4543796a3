/** What looks says. */
export const LOOKS_TEXT = {
  whatTheLoadsDid: 'What the loads did',
  at: (name: string | number, settingName: string | number) => `${name} at ${settingName}`,
  whatItDidSo: 'What it did so',
  turnTheHandlesAboveTo: 'Turn the handles above to where it was wrong.',
  whatDidItDo: ': what did it do?',
  seen: 'Seen',
  notSo: (where: string | number, name: string | number) => `Not so: ${where}, ${name}`,
  notSo2: 'Not so',
};
