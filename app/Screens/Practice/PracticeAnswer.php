<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\Join\JoinPicture;
use App\Screens\Join\JoinRefused;
use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A practice under way: the picture, the keys and the score. */
final readonly class PracticeAnswer implements View
{
    use WrittenRecord;

    /**
     * @param  list<JoinRefused>  $refused
     * @param  list<AppKey>  $keys
     * @param  list<AppLine>  $lines
     * @param  list<Leaflet>  $leaflets
     * @param  list<InsidePart>  $parts
     */
    public function __construct(
        public int $run,
        public int $speed,
        public int $wall,
        #[Field(of: JoinRefused::class)] public array $refused,
        public ?float $ended,
        public ?PracticeScore $score,
        public LessonView $lesson,
        public JoinPicture $picture,
        #[Field(of: AppKey::class)] public array $keys,
        #[Field(of: AppLine::class)] public array $lines,
        #[Field(of: Leaflet::class)] public array $leaflets,
        #[Field(of: InsidePart::class)] public array $parts,
    ) {}
}
