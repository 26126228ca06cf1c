import { type HouseholdState } from '@hoddle/contract/householdState';
import { type StateChange } from '@hoddle/contract/stateChange';
import { type Failure, type StateTag } from './api';
import { type OutboxRow } from './outbox/outboxRow';
import { type Write } from './write';

/** Whether the household's server is heard, and why not. */
type Signal = { readonly kind: 'good' } | Failure;

/** What every screen knows of the household, and what it may do to it. */
export interface HouseholdStore {
  /** As the server last told it. */
  server: HouseholdState | undefined;
  /** Which of its states that is; unknown where a page of an older version kept it. */
  tag: StateTag | undefined;
  /** Entries of this browser that are not in it yet, in order, from whichever tab. */
  rows: readonly OutboxRow[];
  /** Of those, what the server has not answered yet, and what it did not take. */
  waiting: readonly OutboxRow[];
  refused: readonly OutboxRow[];
  /** The server's state with what waits laid over it: what every screen shows. */
  state: HouseholdState | undefined;
  /** A copy that something is rehearsed on: shown instead, kept nowhere, sent nowhere; undefined in earnest. */
  rehearsed: HouseholdState | undefined;
  signal: Signal;
  /** When the server was last heard, epoch milliseconds of this device. */
  heardAt: number | undefined;
  /** Whether this browser keeps what is entered until it is sent. */
  keeps: boolean;
  /** Something in the household's file is damaged or gone: Files says what. */
  isDamaged: boolean;
  /** How far the household's time is ahead of this device's clock: measured against the server, kept for when it is away. */
  aheadMs: number | undefined;
  /** The device's clock was set while the page was looked at: the household's time goes on as if it had not been. */
  clockJumped: (byMs: number) => void;
  /** Resolved once it shows, which is once it is on the disk. */
  enter: (write: Write) => Promise<void>;
  /** Takes a change that the server told by itself. */
  hear: (change: StateChange) => void;
  /** Sends what waits, then asks for the newest state. */
  sync: () => Promise<void>;
  moveDemoClockTo: (offsetMs: number) => Promise<void>;
  /** An entry that the server did not take: it is as if it had not been entered. */
  giveUp: (row: OutboxRow) => Promise<void>;
  /** Sends an entry once more that was not taken, or that waits for its next try. */
  tryAgain: (row: OutboxRow) => Promise<void>;
}
