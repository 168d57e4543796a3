/** The report of a job. */
export function ReportPage() {
  return null;
}
