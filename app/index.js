// The first screen and its frame come with the entry; every other screen is a file of its own, fetched when it is opened. They run
// once this file itself has ended: where one of them meets an exception, and the platform's styles do in every browser, the
// browser would else read all of the file a second time to say where.
queueMicrotask(() => {
  require('./src/shell/loadShared');
  require('./src/app/_layout');
  require('./src/app/index');
  require('expo-router/entry');
});
