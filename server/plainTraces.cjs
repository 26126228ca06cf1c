// Sequelize takes a stack trace with every statement, and Jest maps each line of it back to TypeScript: a quarter of what
// these tests took. Such a trace is only read when the statement fails, and then the message tells which it was.
const mapped = Error.prepareStackTrace;
Error.prepareStackTrace = (error, frames) =>
  frames[0]?.getFileName()?.includes('/sequelize/') ? `${error}\n    at ${frames[0]}` : mapped(error, frames);
