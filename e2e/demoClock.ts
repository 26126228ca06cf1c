import { type RealServer } from './realServer';

/** Makes the household's clock one that can be moved, as a demo's is: nobody waits an hour for a test. */
export async function giveDemoClock(server: RealServer, offsetMs = 0) {
  const { Sequelize } = await import('sequelize');
  const file = new Sequelize({ dialect: 'sqlite', storage: server.file, logging: false });
  await file.query('UPDATE households SET demo_offset_ms = ?', { replacements: [offsetMs] });
  await file.close();
}
