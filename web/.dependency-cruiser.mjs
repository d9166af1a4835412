/** No circle between files, and none between folders: a folder uses only what does not use it. */
export default {
  forbidden: [
    {
      name: 'no-circle-of-files',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'no-circle-of-folders',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    {
      name: 'known',
      comment: 'What cannot be found is not looked at, so nothing may be.',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\.css$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.test\\.tsx?$' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.app.json' },
  },
};
