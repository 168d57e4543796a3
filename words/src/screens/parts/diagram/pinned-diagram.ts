/** What pinned diagram says. */
export const PINNED_DIAGRAM_TEXT = {
  whichDiagram: 'Which diagram',
  theMakersDiagram: 'The maker’s diagram',
  turnTheWheelOrPinch: 'Turn the wheel or pinch to enlarge; drag to move.',
};
