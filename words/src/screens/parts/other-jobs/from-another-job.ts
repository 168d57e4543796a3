/** What from another job says. */
export const FROM_ANOTHER_JOB_TEXT = {
  jobHasThisSwitchChoose: (
    number: string | number,
    needs: string | number,
    because: string | number,
    has: string | number,
  ) => `Job ${number} has ${needs} ${because}, this switch ${has}. Choose one with as many.`,
  anotherJob: 'Another job',
  whatAnotherJobFound: 'What another job found…',
};
