import { Router } from 'express';
import * as v from 'valibot';
import { OpenAddressRequest, type OpenAddressesReply } from '@hoddle/contract/paper';
import { type OpenAddresses } from '../access/openAddresses';
import { Problem } from '../problem';

/** Addresses that are open without a device's key: which there are, another one, and taking one back. */
export function openAddressesRoute(open: OpenAddresses, addresses: () => readonly string[]): Router {
  const told = (): OpenAddressesReply => ({ addresses: open.list(), reachedAt: [...addresses()] });
  return Router()
    .get('/open-addresses', (_req, res) => {
      res.json(told());
    })
    .post('/open-addresses', async (req, res) => {
      const request = v.parse(OpenAddressRequest, req.body);
      const isNew = await open.open(request);
      res.status(isNew ? 201 : 200).json(open.list().find(({ id }) => id === request.id));
    })
    .delete('/open-addresses/:id', async (req, res) => {
      if (!(await open.takeBack(req.params.id))) throw new Problem(404, 'no-address', 'There is no such address.');
      res.status(204).end();
    });
}
