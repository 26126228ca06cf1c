import { Router } from 'express';
import * as v from 'valibot';
import { JarsInSchema } from '@hoddle/contract/jarLot';
import { type JarLot, type Movement } from '@hoddle/core/pantry/jarLot';
import { type Database } from '../db/openDatabase';
import { Problem } from '../problem';
import { holdKnown } from './holdKnown';

/** `POST /api/jars-in`: jars that stand on a shelf already. All or none; a lot that is here already is left as it is. */
export function jarsInRoute(db: Database): Router {
  return Router().post('/jars-in', async (req, res) => {
    const { rows, at } = v.parse(JarsInSchema, req.body);
    for (const { lot } of rows) holdKnown(db, lot.product);
    const ids = new Set(rows.map(({ lot }) => lot.id));
    if (ids.size < rows.length) throw new Problem(409, 'twice', 'Two rows are the same lot. Nothing was saved.');
    db.pantry.holdPlaces(rows.map(({ lot }) => lot));
    const added = await db.write(async (transaction) => {
      const fresh = rows.filter(({ lot }) => isNew(lot, db.pantry.all.lot(lot.id)));
      const movements = fresh.map(({ lot, jars }): Movement => ({
        id: lot.id,
        lotId: lot.id,
        kind: 'stored',
        jars,
        at,
      }));
      const lots = fresh.map(({ lot }) => lot);
      await db.pantry.enterLots(lots, movements, transaction);
      return fresh.length;
    });
    res.status(added > 0 ? 201 : 200).json({ added, known: rows.length - added });
  });
}

/** @throws Problem 409 when the id belongs to other jars */
function isNew(lot: Omit<JarLot, 'loadId' | 'fromLotId'>, known: JarLot | undefined): boolean {
  if (known && (known.product !== lot.product || known.jar !== lot.jar)) {
    throw new Problem(409, 'id-taken', 'A lot of this file is already here with another product. Nothing was saved.');
  }
  return known === undefined;
}
