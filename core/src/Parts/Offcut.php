<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** Offcut of a reel or a length in the van. */
final readonly class Offcut
{
    /**
     * @param  string  $kit  shelf id
     * @param  bool  $packed  whether this job has packed it
     */
    public function __construct(
        public int $id,
        public string $kit,
        public float $metres,
        public bool $packed = false,
    ) {}

    /**
     * @param  list<self>  $offcuts
     * @return array<string, list<float>> metres by shelf id
     */
    public static function byKit(array $offcuts): array
    {
        $metres = [];
        foreach ($offcuts as $offcut) {
            $metres[$offcut->kit][] = $offcut->metres;
        }

        return $metres;
    }
}
