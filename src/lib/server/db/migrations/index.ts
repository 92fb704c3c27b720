import type { Knex } from 'knex';
import * as first from './001-first-bench';
import * as live from './002-live-bench';
import * as minutes from './003-live-minutes';
import * as stock from './004-stock';
import * as judgements from './005-judgements';
import * as cycles from './006-uncounted-cycles';
import * as turned from './007-turned-cells';
import * as build from './008-build-and-prove';
import * as planning from './009-plan-and-passings';
import * as receiving from './010-receive-and-test';
import * as methods from './011-balance-methods';
import * as steps from './012-steps-from-logs';
import * as right from './013-right';
import * as whole from './014-whole-work';
import * as judged from './015-judged-checks';
import * as manyCells from './016-many-cells';
import * as words from './017-words-when-read';

interface Migration {
	name: string;
	up(knex: Knex): Promise<void>;
}

/** In order; names are recorded in the database and never change. */
const MIGRATIONS: Migration[] = [
	{ name: '001-first-bench', up: first.up },
	{ name: '002-live-bench', up: live.up },
	{ name: '003-live-minutes', up: minutes.up },
	{ name: '004-stock', up: stock.up },
	{ name: '005-judgements', up: judgements.up },
	{ name: '006-uncounted-cycles', up: cycles.up },
	{ name: '007-turned-cells', up: turned.up },
	{ name: '008-build-and-prove', up: build.up },
	{ name: '009-plan-and-passings', up: planning.up },
	{ name: '010-receive-and-test', up: receiving.up },
	{ name: '011-balance-methods', up: methods.up },
	{ name: '012-steps-from-logs', up: steps.up },
	{ name: '013-right', up: right.up },
	{ name: '014-whole-work', up: whole.up },
	{ name: '015-judged-checks', up: judged.up },
	{ name: '016-many-cells', up: manyCells.up },
	{ name: '017-words-when-read', up: words.up }
];

/** Knex reads migrations from this list instead of a folder, so that they are part of the build. */
export const migrationSource: Knex.MigrationSource<Migration> = {
	getMigrations: async () => MIGRATIONS,
	getMigrationName: (migration) => migration.name,
	getMigration: async (migration) => ({
		up: migration.up,
		down: async () => {
			throw new Error('Migrations only go forward');
		}
	})
};
