<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Values\FindingPlace;

/** Something that cannot be joined as the job stands, known before the first step: what, why, and what would help. */
final readonly class JoinBlock
{
    /** No one has written how such a device joins. */
    public const NO_FAMILY = 'no-family';

    /** Nothing works the light. */
    public const NO_CONTROL = 'no-control';

    /** The control has no light to control. */
    public const NO_LIGHT = 'no-light';

    public const NO_LEAFLET = 'no-leaflet';

    /** More lights than the control has zones. */
    public const ZONES = 'zones';

    /** More lights than it holds. */
    public const FULL = 'full';

    /** More remotes than may link to it without a hub. */
    public const REMOTES = 'remotes';

    /**
     * @param  string  $code  one of the above
     * @param  FindingPlace  $place  where it is fixed
     */
    public function __construct(
        public string $code,
        public string $unit,
        public string $title,
        public string $detail,
        public FindingPlace $place,
    ) {}
}
