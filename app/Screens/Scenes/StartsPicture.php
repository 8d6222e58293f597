<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\Position;

/** Starts of scenes and shows on a day. */
final readonly class StartsPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<KeyedWords>  $kinds
     * @param  list<TriggerPicture>  $triggers
     * @param  list<AgendaLine>  $agenda
     * @param  list<string>  $not
     * @param  list<TruthRow>  $table
     */
    public function __construct(
        #[Field(of: KeyedWords::class)] public array $kinds,
        #[Field(of: TriggerPicture::class)] public array $triggers,
        public string $day,
        public string $sun,
        #[Field(of: AgendaLine::class)] public array $agenda,
        #[Field(of: Field::TEXTS)] public array $not,
        #[Field(of: TruthRow::class)] public array $table,
        public ?Position $position,
    ) {}
}
