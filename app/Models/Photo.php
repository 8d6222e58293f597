<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A photo of a place, shrunk and without camera metadata. A fact: never undone.
 *
 * @property int $id
 * @property int $job_id
 * @property string $place
 * @property string $caption
 * @property int $width
 * @property int $height
 * @property string $image JPEG
 * @property Carbon $created_at
 */
final class Photo extends Model
{
    protected $table = 'photos';

    public $timestamps = false;

    protected $fillable = ['user_id', 'place', 'caption', 'width', 'height', 'image', 'created_at'];

    protected $casts = ['created_at' => 'datetime', 'image' => Blob::class];
}
