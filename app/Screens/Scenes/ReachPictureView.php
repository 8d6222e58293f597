<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Plan of radio reach. */
final readonly class ReachPictureView implements View
{
    use WrittenRecord;

    /**
     * @param  list<ReachRoom>  $rooms
     * @param  list<ReachNode>  $nodes
     * @param  list<ReachLink>  $links
     * @param  list<string>  $lines
     */
    public function __construct(
        public string $title,
        public string $from,
        public float $wide,
        public float $high,
        #[Field(of: ReachRoom::class)] public array $rooms,
        #[Field(of: ReachNode::class)] public array $nodes,
        #[Field(of: ReachLink::class)] public array $links,
        #[Field(of: Field::TEXTS)] public array $lines,
    ) {}
}
