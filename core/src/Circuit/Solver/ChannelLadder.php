<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/** Common part of ladders with two channels and more: a row of differences per channel, its step, amps, slopes and residuals. */
abstract class ChannelLadder extends Ladder
{
    /** @var list<list<float>> by channel and group */
    protected array $d = [];

    /** @var list<list<float>> */
    protected array $moved = [];

    /** @var list<list<float>> */
    protected array $step = [];

    /** @var list<list<float>> */
    protected array $i = [];

    /** @var list<list<float>> */
    protected array $g = [];

    /** @var list<list<float>> */
    protected array $f = [];

    /** @var list<float> */
    protected array $startAmps = [];

    /** @var list<float> */
    protected array $endAmps = [];

    public function begin(array $start, array $end): void
    {
        $this->d = $this->step = [];
        $m = $this->stretch->groups;
        foreach ($start as $c => $first) {
            $d = [];
            for ($n = 0; $n < $m; $n++) {
                $d[] = $first + (($end[$c] - $first) * ($n + 0.5)) / $m;
            }
            $this->d[] = $d;
            $this->step[] = array_fill(0, $m, 0.0);
        }
    }

    public function accept(): void
    {
        $this->d = $this->moved;
    }

    public function descent(): float
    {
        $sum = 0.0;
        foreach ($this->f as $c => $residuals) {
            foreach ($residuals as $n => $f) {
                $sum += $f * $this->step[$c][$n];
            }
        }

        return $sum;
    }

    public function residual(): float
    {
        return self::largest(...$this->f);
    }

    public function step(): float
    {
        return self::largest(...$this->step);
    }

    public function startAmps(): array
    {
        return $this->startAmps;
    }

    public function endAmps(): array
    {
        return $this->endAmps;
    }

    public function differences(): array
    {
        if ($this->d === []) {
            return [[]];
        }

        return $this->d;
    }

    public function amps(): array
    {
        if ($this->i === []) {
            return [[]];
        }

        return $this->i;
    }
}
