<?php

declare(strict_types=1);

namespace EmberDusk\Kit\Profiles;

use EmberDusk\Formats\Fields;

/** How a hub searches and what its app shows, from its leaflet. Seconds throughout. */
final readonly class HubProfile
{
    /**
     * @param  float  $search  how long it looks after Search
     * @param  float  $lagLeast  shortest time from a join to its line in the app's list
     * @param  float  $lagMost  longest such time
     * @param  int  $letters  most letters in a name
     * @param  string  $numbering  what a found light is called at first, with # for the number
     */
    public function __construct(
        public float $search,
        public float $lagLeast,
        public float $lagMost,
        public int $letters,
        public string $numbering,
    ) {}

    public static function read(Fields $f): self
    {
        $profile = new self(
            search: $f->number('search', 5, 600),
            lagLeast: $f->number('lagLeast', 0, 120),
            lagMost: $f->number('lagMost', 0, 120),
            letters: $f->whole('letters', 4, 80),
            numbering: $f->string('numbering', 30),
        );
        if ($profile->lagMost < $profile->lagLeast) {
            throw $f->invalid('lagMost', 'The longest time is shorter than the shortest.');
        }

        return $profile;
    }
}
