<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Kit\Shelves;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;
use EmberDusk\Values\Severity;
use Symfony\Component\Console\Output\ConsoleOutputInterface;

/** Reads FILE (- is standard input) and answers with the exit codes of the command line: 0, 1 must stop, 2 bad input. */
trait ReadsJobFile
{
    /** @param  callable(): int  $work */
    protected function answering(callable $work): int
    {
        try {
            return $work();
        } catch (Refusal $t) {
            $output = $this->getOutput()->getOutput();
            $error = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
            $error->writeln(($t->pointer === '' ? '' : $t->pointer . ': ') . $t->getMessage());

            return 2;
        }
    }

    protected function text(): string
    {
        $file = $this->argument('file');
        $path = is_string($file) ? $file : '';
        $text = match (true) {
            $path === '-' => file_get_contents('php://stdin'),
            is_file($path) => file_get_contents($path),
            default => false,
        };
        if ($text === false) {
            throw new InvalidInput("“{$path}” cannot be read.");
        }

        return $text;
    }

    protected function plan(): Plan
    {
        return JobFile::read($this->text());
    }

    protected function demoShelf(): Shelves
    {
        return Shelves::ofFile(database_path('demo/shelf.json'));
    }

    /** @param  list<Finding>  $findings */
    protected function verdict(array $findings): int
    {
        foreach ($findings as $finding) {
            if ($finding->severity === Severity::Stop) {
                return 1;
            }
        }

        return 0;
    }
}
