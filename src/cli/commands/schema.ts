import type { ArgumentsCamelCase, CommandModule } from 'yargs';
import { z } from 'zod';
import { auditModel } from '../../formats/schema.js';
import { acceptedFile, config } from '../config/model.js';
import { later } from '../work.js';

const FORMS = { result: auditModel, settings: config, accepted: acceptedFile } as const;
const NAMES = Object.keys(FORMS) as (keyof typeof FORMS)[];
const TITLES = {
  result: 'Result of an audit, as --json and .json files hold it',
  settings: 'Settings of Rope Ladder: rope-ladder.json',
  accepted: 'Accepted findings: rope-ladder-accepted.json',
} as const;

interface SchemaArguments {
  of: keyof typeof FORMS;
}

function handler({ of }: ArgumentsCamelCase<SchemaArguments>): void {
  const io = of === 'result' ? 'output' : 'input';
  const schema = { title: TITLES[of], ...z.toJSONSchema(FORMS[of], { io }) };
  process.stdout.write(`${JSON.stringify(schema, null, 2)}\n`);
}

export const schemaCommand: CommandModule<object, SchemaArguments> = {
  command: 'schema [of]',
  describe: 'Print the JSON Schema of results or of settings',
  builder: (argv) =>
    argv
      .positional('of', { choices: NAMES, default: 'result' as const, describe: 'Which form' })
      .example('$0 schema settings > rope-ladder.schema.json', 'For an editor that knows JSON Schema') as never,
  handler: later(handler),
};
