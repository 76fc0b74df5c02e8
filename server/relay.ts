import express, { Router, type ErrorRequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { object, string, type InferType } from 'yup';
import type { RelayStore } from './relay-store';

/** Requests of one address in a minute: a device that waits asks every two seconds, one that sends sends once. */
export interface RelayRates {
  asks: number;
  sends: number;
}
export const RELAY_RATES: RelayRates = { asks: 120, sends: 30 };

/** A slot is named by 16 random bytes: nobody finds one by trying. */
const slotSchema = object({
  slot: string()
    .matches(/^[A-Za-z0-9_-]{22}$/)
    .required(),
});
const sendSchema = slotSchema.shape({
  type: string().oneOf(['application/octet-stream']).required(),
});

/** Sealed as AES-GCM: version, nonce, tag and at least a length. */
const LEAST = 1 + 12 + 16 + 4;

const perMinute = (limit: number) =>
  rateLimit({ windowMs: 60_000, limit, standardHeaders: true, legacyHeaders: false, message: { fault: 'too-often' } });

/**
 * Carries sealed bundles from one device to another: POST puts one into a slot, GET takes it out, once. It cannot read them, lists nothing and writes no
 * log. Answers: 201 kept, 200 the bundle, 404 none (not there, not yet, fetched, run out), 409 used, 400, 413, 429, 507.
 */
export function relay(store: RelayStore, rates: RelayRates = RELAY_RATES): Router {
  const router = Router();
  const asks = perMinute(rates.asks);
  const sends = perMinute(rates.sends);
  router.use((_, response, next) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  router.post(
    '/:slot',
    sends,
    (request, response, next) => {
      const told: InferType<typeof sendSchema> = {
        slot: String(request.params.slot),
        type: (request.headers['content-type'] ?? '') as never,
      };
      if (sendSchema.isValidSync(told)) next();
      else response.status(400).json({ fault: 'malformed' });
    },
    express.raw({ type: 'application/octet-stream', limit: store.limits.bundle, inflate: false }),
    async (request, response) => {
      const bytes = request.body as unknown;
      if (!Buffer.isBuffer(bytes) || bytes.length < LEAST)
        return void response.status(400).json({ fault: 'malformed' });
      const kept = await store.put(String(request.params.slot), bytes);
      if (kept === 'kept') response.status(201).json({ waits_s: store.limits.waitsMs / 1000 });
      else response.status({ used: 409, large: 413, full: 507 }[kept]).json({ fault: kept });
    },
  );
  router.get('/:slot', asks, async (request, response) => {
    if (!slotSchema.isValidSync({ slot: request.params.slot }))
      return void response.status(400).json({ fault: 'malformed' });
    const bytes = await store.take(String(request.params.slot));
    if (!bytes) return void response.status(404).json({ fault: 'none', waits_s: store.limits.waitsMs / 1000 });
    response.type('application/octet-stream').send(bytes);
  });
  router.use((_, response) => void response.status(404).json({ fault: 'none' }));
  const failed: ErrorRequestHandler = (error: { status?: number }, _request, response, next) => {
    if (response.headersSent) return next(error);
    const status = error.status === 413 ? 413 : error.status !== undefined && error.status < 500 ? 400 : 500;
    response.status(status).json({ fault: { 413: 'large', 400: 'malformed', 500: 'failed' }[status] });
  };
  router.use(failed);
  return router;
}
