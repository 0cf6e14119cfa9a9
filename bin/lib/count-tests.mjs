import { readFileSync } from 'node:fs';

/** Prints "PASSED FAILED" from a JSON report of Vitest or Playwright. */
const report = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const { stats } = report;
const counts = stats
  ? // What passed at the second go passed; the log names it.
    [stats.expected + stats.flaky, stats.unexpected]
  : [report.numPassedTests, report.numFailedTests + report.numPendingTests];
console.log(counts.join(' '));
