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
    'This photo isn’t on this machine: a job file holds no pictures. It’s where it was added.',
};
