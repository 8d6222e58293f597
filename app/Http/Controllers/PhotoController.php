<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PhotoRequest;
use App\Models\Job;
use App\Models\Photo;
use App\Models\User;
use App\Photos\Shrink;
use App\Screens\Survey\PhotoLimits;
use App\Screens\Survey\PhotoView;
use App\Screens\Survey\PlacePhotos;
use App\Time\Clock;
use EmberDusk\Values\OutOfTurn;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** Photos of the places of a job. */
final class PhotoController
{
    private const MOST = 200;

    public function index(Job $job, string $place): JsonResponse
    {
        return new JsonResponse(
            new PlacePhotos(
                limits: new PhotoLimits(
                    megapixels: intdiv(Shrink::MOST_PIXELS, 1_000_000),
                    megabytes: intdiv(PhotoRequest::MOST, 1000),
                ),
                photos: array_values(
                    $job
                        ->photos()
                        ->where('place', $place)
                        ->orderBy('id')
                        ->get(['id', 'job_id', 'caption', 'width', 'height', 'created_at'])
                        ->map(
                            static fn(Photo $p): PhotoView => new PhotoView(
                                id: $p->id,
                                url: route('photos.show', [$job, $p], false),
                                caption: $p->caption,
                                width: $p->width,
                                height: $p->height,
                                taken: $p->created_at->toIso8601String(),
                            ),
                        )
                        ->all(),
                ),
            ),
        );
    }

    public function store(PhotoRequest $request, Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $place = $job
            ->newest()
            ->plan()
            ->place($request->string('place')->toString());
        $small = Shrink::from($request->bytes());
        DB::transaction(static function () use ($job, $user, $place, $small, $request): void {
            if ($job->photos()->count() >= self::MOST) {
                throw new OutOfTurn('This job has ' . self::MOST . ' photos already. Remove some first.', '/photo');
            }
            $job->photos()->create([
                'user_id' => $user->id,
                'place' => $place->id,
                'caption' => trim($request->string('caption')->toString()),
                'width' => $small->width,
                'height' => $small->height,
                'image' => $small->jpeg,
                'created_at' => Clock::now(),
            ]);
        });

        return $this->index($job, $place->id);
    }

    public function show(Job $job, Photo $photo): Response
    {
        return new Response($photo->image, 200, [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => 'private, max-age=31536000, immutable',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    public function destroy(Job $job, Photo $photo): JsonResponse
    {
        DB::transaction(static fn(): ?bool => $photo->delete());

        return $this->index($job, $photo->place);
    }
}
