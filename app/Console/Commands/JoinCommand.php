<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Formats\Json;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\JoinBlock;
use EmberDusk\Joining\Rehearsal;
use Illuminate\Console\Command;

final class JoinCommand extends Command
{
    use ReadsJobFile;
    use TimesJoins;

    protected $signature =
        'ember:join {file : a job file, - for standard input} {--timing=search : search, reset or early} {--school= : former name of --timing} ' .
        '{--trust-new : do not reset new units} {--json : print the steps as JSON}';

    protected $description = 'Print the order in which the devices of a job are reset, joined, linked, named and tested';

    public function handle(): int
    {
        return $this->answering(function (): int {
            $joinable = Joinable::for($this->plan(), $this->timing());
            $steps = $joinable->any() ? Rehearsal::run($joinable->roster, 1)->trail : [];
            if ($this->option('json')) {
                $this->output->write(
                    Json::pretty([
                        'blocked' => array_map(
                            static fn(JoinBlock $b): array => [
                                'code' => $b->code,
                                'unit' => $b->unit,
                                'title' => $b->title,
                                'detail' => $b->detail,
                            ],
                            $joinable->blocked,
                        ),
                        'steps' => array_map(
                            static fn(array $s): array => [
                                'at' => round($s[0], 1),
                                'where' => $s[1]->where,
                                'title' => $s[1]->title,
                                'why' => $s[1]->why,
                            ],
                            $steps,
                        ),
                    ]),
                );
            } else {
                foreach ($joinable->blocked as $blocked) {
                    $this->line("Cannot be joined: {$blocked->title}. {$blocked->detail}");
                }
                foreach ($steps as $n => [$at, $step]) {
                    $this->line(
                        sprintf('%3d  %s  %s  (%s)', $n + 1, EventWords::clock($at), $step->title, $step->where),
                    );
                    $this->line('     ' . $step->why);
                }
            }

            if ($joinable->blocked === []) {
                return 0;
            }

            return 1;
        });
    }
}
