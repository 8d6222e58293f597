<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Scenes screen: control matrix, scenes, shows, starts and power. */
final readonly class ScenesPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<BoardLight>  $lights
     * @param  list<BoardControl>  $controls
     * @param  list<BoardCell>  $cells
     * @param  list<NameClashView>  $names
     * @param  list<ScenePicture>  $scenes
     * @param  list<ReachPictureView>  $reach
     * @param  list<SceneDim>  $dims
     * @param  list<ShowPicture>  $shows
     * @param  list<KeyedWords>  $showKinds
     * @param  list<KeyedWords>  $ways
     */
    public function __construct(
        #[Field(of: BoardLight::class)] public array $lights,
        #[Field(of: BoardControl::class)] public array $controls,
        #[Field(of: BoardCell::class)] public array $cells,
        #[Field(of: NameClashView::class)] public array $names,
        #[Field(of: ScenePicture::class)] public array $scenes,
        #[Field(of: ReachPictureView::class)] public array $reach,
        #[Field(of: SceneDim::class)] public array $dims,
        public PresetPicture $presets,
        #[Field(of: ShowPicture::class)] public array $shows,
        #[Field(of: KeyedWords::class)] public array $showKinds,
        #[Field(of: KeyedWords::class)] public array $ways,
        public StartsPicture $starts,
        public PowerPicture $power,
        public string $wifi,
    ) {}
}
