<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Control\Assistants;
use EmberDusk\Control\CommandResult;
use EmberDusk\Control\SpokenLight;
use EmberDusk\Formats\Json;
use Illuminate\Console\Command;

final class SayCommand extends Command
{
    use ReadsJobFile;

    protected $signature = 'ember:say {file : a job file, - for standard input} {said : the voice command} {--json : print the answers as JSON}';

    protected $description = 'Try a voice command: what the assistants of a job understand, and which simulated lights respond';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $spoken = (new Assistants($this->plan()))->say((string) $this->argument('said'));
            if ($this->option('json')) {
                $this->output->write(
                    Json::pretty([
                        'words' => $spoken->words,
                        'answers' => $spoken->answers,
                        'note' => $spoken->note,
                        'trouble' => $spoken->trouble,
                    ]),
                );

                return self::verdictOf($spoken);
            }
            $this->line($spoken->words);
            foreach ($spoken->answers as $a) {
                $this->line(
                    sprintf(
                        '%-4s %-20s %s',
                        strtoupper($a->light),
                        $a->name,
                        $a->answers ? sprintf('%d %%', round(100 * $a->level)) : "cannot do that: {$a->why}",
                    ),
                );
            }
            if ($spoken->note !== '') {
                $this->line($spoken->note);
            }
            if ($spoken->trouble !== '') {
                $this->line($spoken->trouble);
            }

            return self::verdictOf($spoken);
        });
    }

    private static function verdictOf(CommandResult $spoken): int
    {
        $answers = array_filter($spoken->answers, static fn(SpokenLight $a): bool => $a->answers);

        if ($answers !== [] && count($answers) === count($spoken->answers)) {
            return self::SUCCESS;
        }

        return self::FAILURE;
    }
}
