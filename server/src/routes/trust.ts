import { Router } from 'express';
import { type Authority } from '../tls/authority';

/** Where the authority's certificate is fetched: the address itself says which one it must be. */
export function trustPath({ fingerprint }: Authority): string {
  return `/authority/${fingerprint.replaceAll(':', '').toLowerCase()}.crt`;
}

/**
 * The certificate of the home's own authority, for a phone that is to trust it. It is no secret, but only who was shown its
 * fingerprint finds it.
 */
export function trustRoute(authority: Authority | undefined): Router {
  const router = Router();
  if (!authority) return router;
  return router.get(trustPath(authority), (_req, res) => {
    res.set({ 'content-type': 'application/x-x509-ca-cert', 'cache-control': 'no-store' });
    res.attachment('hoddle-at-home.crt').send(authority.pem);
  });
}
