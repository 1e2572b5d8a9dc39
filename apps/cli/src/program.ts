import { resultStages } from '@hedrion/core'
import { Argument, Command, Option } from 'commander'
import { check } from './commands/check'
import { compute } from './commands/compute'
import { printSchema, writeDemo } from './commands/files'
import { why } from './commands/why'
import { guarded } from './refusal'

/** The command line: the same core on a project file, without server or browser. */
export function program(): Command {
  const root = new Command('hedrion')
    .description('Computes the loads of a building from a project file, without server or browser.')
    .version('0.2.0')
  root
    .command('compute')
    .argument('<project>', 'project file')
    .description('compute results and write them')
    .requiredOption('--out <path>', 'file for json, folder for csv')
    .addOption(new Option('--only <stage>', 'one stage only').choices(resultStages))
    .addOption(new Option('--format <format>', 'format of the results').choices(['json', 'csv']).default('json'))
    .action(guarded(compute))
  root
    .command('check')
    .argument('<project>', 'project file')
    .description('list concerns; exit code 1 if one is blocking, 2 if the file is invalid')
    .action(guarded(check))
  root
    .command('why')
    .argument('<project>', 'project file')
    .argument('<effect>', 'a column label, an effect, or an address from a trace')
    .description('print the trace of a number')
    .action(guarded(why))
  root.command('demo').argument('<path>').description('write the demo project file').action(guarded(writeDemo))
  root
    .command('schema')
    .addArgument(new Argument('<kind>', 'schema to print').choices(['project', 'results']))
    .description('print a JSON Schema')
    .action(guarded(printSchema))
  return root
}
