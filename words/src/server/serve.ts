/** What serve says. */
export const SERVE_TEXT = {
  portTakesANumberFrom: (said: string | number) => `--port takes a number from 1 to 65535, not "${said}".`,
  portIsTakenByAnother: (asked: string | number) =>
    `Port ${asked} is taken by another program (EADDRINUSE), perhaps by another Which Way.\nGive another one with --port NUMBER, or none: then a free one is found.`,
  freshWouldBeginAnewIn: (folder: string | number) =>
    `--fresh would start over in ${folder}, where there is a bench already.\nAdd --yes to move that aside (nothing is deleted), or leave --fresh out. Nothing was changed.`,
  thereIsABenchIn: (folder: string | number) =>
    `There is a bench in ${folder}.\nIt will be moved aside, not deleted. Type yes to start over: `,
  nothingWasChanged: 'Nothing was changed.',
  whatWasThereIsIn: (aside: string | number) => `What was there is in ${aside} now.\n`,
  theServerHasStoppedEverything: (reason: string | number) =>
    `\nThe server has stopped: ${reason}. Everything shown as saved is safe. Start it again.\n`,
  whichWayIsReadyAt: (value: string | number, port: string | number, folder: string | number) =>
    `\nWhich Way is ready at http://${value}:${port}/\nData: ${folder}\nCtrl-C stops it.\n\n`,
  noLocalNetworkWasFound: (code: string | number) =>
    `No local network was found. The shop's code for later is ${code}.\n\n`,
  inTheLocalNetworkThe: (list: string | number, code: string | number, picture: string | number) =>
    `In the local network:\n${list}\nThe shop's code: ${code}\nWhoever has it can read and change everything here. It travels in the clear: use it in the shop's own network only.\n\n${picture}\n`,
};
