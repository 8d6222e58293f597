<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Bench;

use EmberDusk\Bench\Matrix\MatrixQuestion;
use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Plan\Changes\Runs\NoteMatrix;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A matrix has as many pixels as its run, and its order is known before effects are set on it. */
final readonly class MatrixOrder extends RunCheck
{
    public function rules(): array
    {
        return [
            new Rule('matrix-size', 'run', 'a matrix has as many pixels as its run', Rule::OWN),
            new Rule('matrix-order', 'run', 'the order of the pixels of a matrix is known', Rule::OWN),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $matrix = $case->plan->of($case->run)->matrix();
        if ($matrix === null || $case->strip === null) {
            return [];
        }
        $name = $case->run->name();
        $pixels = $case->plan->of($case->run)->pixels();
        if ($matrix->pixels() !== $pixels) {
            return [
                $this->rule('matrix-size')->watch(
                    place: new FindingPlace(JobStage::Survey, $case->run->id),
                    title: "{$name}: a matrix of {$matrix->columns} x {$matrix->rows} has {$matrix->pixels()} pixels, the run has {$pixels}",
                    detail: $pixels === 0
                        ? 'Its strip has no pixels of their own: choose a pixel strip, or delete the matrix.'
                        : 'Pictures and text are cut or shifted. Measure the rows again, or correct the size of the matrix in the notes.',
                    number: (float) $matrix->pixels(),
                    limit: (float) $pixels,
                    fixes: [new Fix('Delete the matrix', NoteMatrix::payload($case->run->id, null))],
                ),
            ];
        }
        if ($matrix->known()) {
            return [];
        }

        return [
            $this->rule('matrix-order')->open(
                place: new FindingPlace(JobStage::Bench, $case->run->id),
                title: "{$name}: order of the matrix is not known yet",
                detail: MatrixQuestion::next($case->run->id, $matrix)?->asks .
                    ' Enter it at “order of the matrix” once all rows are connected.',
            ),
        ];
    }
}
