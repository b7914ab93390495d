// Prints "PASSED FAILED" from a JSON report of Vitest or Playwright. A skipped test counts as failed: none may be.
import { readFileSync } from 'node:fs';

const report = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const [passed, failed] =
  'stats' in report
    ? [report.stats.expected, report.stats.unexpected + report.stats.flaky + report.stats.skipped]
    : [report.numPassedTests, report.numFailedTests + report.numPendingTests + report.numTodoTests];
console.log(`${passed} ${failed}`);
