/** What job state says. */
export const JOB_STATE_TEXT = {
  thisJobWasDeleted: 'This job was deleted.',
  onAnotherDeviceOrIn: 'On another device, or in another tab.',
};
