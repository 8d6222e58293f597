<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** Data outputs of a pixel board, and the pixels that each supports. */
final readonly class PixelOutputs
{
    /**
     * @param  bool  $protected  whether it has a fuse, reverse protection, a level shifter and a capacitor; true where its entry does not say
     * @param  bool  $trial  whether it is a solderless trial board
     * @param  bool  $firmware  whether its firmware is loaded over a data lead first
     */
    public function __construct(
        public int $count,
        public int $each,
        public bool $protected,
        public bool $trial,
        public bool $firmware = false,
    ) {}
}
