/** What each role is for, in a few words. */
export const roleMeans: Readonly<Record<string, string>> = {
  owner: 'everything, and who comes in',
  steward: 'running days; may override with a reason',
  operator: 'keeps engines and steams them',
  examiner: 'papers, tests; only they sign as examiner',
  trainee: 'logs in a steaming that a keeper has started'
};
