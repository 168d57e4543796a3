/** What loupe says. */
export const LOUPE_TEXT = {
  loupe: 'Loupe',
  smaller: 'Smaller',
  enlarged: 'Enlarged',
  larger: 'Larger',
  theWholePhoto: 'The whole photo',
  dragOverAMarking: 'Drag over a marking',
  boxAMarking: 'Box a marking',
  brightness: 'Brightness',
  contrast: 'Contrast',
  invert: 'Invert',
  sharpen: 'Sharpen',
  thisPhotoIsNotOn:
    'This photo is not on this machine: a file of jobs holds no pictures. It is where it was added.',
};
