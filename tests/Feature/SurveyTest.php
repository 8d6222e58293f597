<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Photo;
use App\Photos\Shrink;
use EmberDusk\Values\Refusal;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Tests\TestCase;

/** Photos and traces of a place. */
final class SurveyTest extends TestCase
{
    use RefreshDatabase;

    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->job = $this->job($this->crew());
        $this->actingAs($this->user($this->job->crew));
    }

    /**
     * @param  int<1, 4000>  $width
     * @param  int<1, 4000>  $height
     */
    private static function jpeg(int $width, int $height, string $exif = ''): string
    {
        $image = imagecreatetruecolor($width, $height);
        // Red above, blue below.
        imagefilledrectangle($image, 0, 0, $width, intdiv($height, 2), (int) imagecolorallocate($image, 250, 0, 0));
        imagefilledrectangle(
            $image,
            0,
            intdiv($height, 2),
            $width,
            $height,
            (int) imagecolorallocate($image, 0, 0, 250),
        );
        ob_start();
        imagejpeg($image);
        $jpeg = (string) ob_get_clean();
        if ($exif === '') {
            return $jpeg;
        }

        return "\xFF\xD8\xFF\xE1" . pack('n', strlen($exif) + 8) . "Exif\0\0" . $exif . substr($jpeg, 2);
    }

    /** A TIFF header with an orientation and a made-up maker's text, as cameras write it. */
    private static function exif(int $orientation): string
    {
        return "MM\0*\0\0\0\x08" .
            pack('n', 2) .
            pack('nnNnn', 0x0112, 3, 1, $orientation, 0) .
            pack('nnNN', 0x010e, 2, 16, 38) .
            pack('N', 0) .
            "secret place 47\0";
    }

    public function test_a_photo_is_made_small_and_upright_and_forgets_where_it_was_taken(): void
    {
        $photo = self::jpeg(3200, 1600, self::exif(6));
        self::assertStringContainsString('secret place', $photo);
        $small = Shrink::from($photo);
        self::assertSame([800, 1600], [$small->width, $small->height]);
        self::assertStringNotContainsString('secret place', $small->jpeg);
        self::assertStringNotContainsString('Exif', $small->jpeg);
        // Held a quarter turn to the left, its top is to the right of what the sensor saw as up.
        $image = imagecreatefromstring($small->jpeg);
        self::assertNotFalse($image);
        self::assertGreaterThan(200, (imagecolorat($image, 700, 800) >> 16) & 255, 'red is at the right');
        self::assertGreaterThan(200, imagecolorat($image, 100, 800) & 255, 'blue is at the left');
        self::assertSame(
            [300, 200],
            [Shrink::from(self::jpeg(300, 200))->width, Shrink::from(self::jpeg(300, 200))->height],
        );
    }

    public function test_photos_are_kept_with_their_place(): void
    {
        $send = fn(string $bytes, string $place = 'lecture') => $this->postJson("/jobs/{$this->job->id}/photos", [
            'place' => $place,
            'caption' => 'Cupboard',
            'photo' => UploadedFile::fake()->createWithContent('a.jpg', $bytes),
        ]);
        $photos = $this->answer($send(self::jpeg(1700, 100)), 'placePhotos')['photos'];
        self::assertSame(['Cupboard', 1600], [$photos[0]['caption'], $photos[0]['width']]);
        $this->get($photos[0]['url'])->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        $send('no photo')
            ->assertStatus(422)
            ->assertJson(['message' => 'This photo cannot be read: use JPEG, PNG or WebP.']);
        $send(substr(self::jpeg(400, 400), 0, 300))->assertStatus(422);
        $whole = self::jpeg(900, 900);
        // Fill bytes before a mark, a preview with its own end before the picture, and bytes behind the end are all allowed.
        $preview = "\xFF\xFF\xFF\xE2" . pack('n', 12) . "preview\0\xFF\xD9";
        self::assertSame(900, Shrink::from(substr($whole, 0, 2) . $preview . substr($whole, 2) . 'tail')->width);
        $send(substr($whole, 0, 2) . $preview . substr($whole, 2, intdiv(strlen($whole), 2)))->assertStatus(422);
        $send(substr($whole, 0, intdiv(strlen($whole), 2)))
            ->assertStatus(422)
            ->assertJson(['message' => 'The photo is damaged: it ends before its picture does.']);
        $send(self::jpeg(40, 40), 'attic')->assertStatus(422);
        self::assertSame(1, Photo::query()->count());
        // A photo of another job is not reached through this one.
        $other = $this->job($this->job->crew);
        $this->get("/jobs/{$other->id}/photos/{$photos[0]['id']}")->assertNotFound();
        $this->deleteJson("/jobs/{$other->id}/photos/{$photos[0]['id']}")->assertNotFound();
        self::assertSame(
            [],
            $this->answer(
                $this->deleteJson($this->job->exists ? "/jobs/{$this->job->id}/photos/{$photos[0]['id']}" : ''),
                'placePhotos',
            )['photos'],
        );
    }

    public function test_a_picture_of_too_many_pixels_is_not_even_opened(): void
    {
        // A PNG whose header says 60,000 x 60,000; behind it is nothing.
        $header = pack('NNCCCCC', 60000, 60000, 8, 2, 0, 0, 0);
        $png = "\x89PNG\r\n\x1a\n" . pack('N', 13) . 'IHDR' . $header . pack('N', crc32('IHDR' . $header));
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('60000 x 60000 pixels');
        Shrink::from($png);
    }

    public function test_a_trace_goes_on_where_it_was_left_and_is_written_into_the_notes(): void
    {
        $notes =
            "5 cove\ndry\nrun cove, bare\nleg A B1 to X 2x1.5, wall # grey\nleg B B1 to Y 2x1.5\nleg C B1 to Z 2x1.5";
        $this->postJson("/jobs/{$this->job->id}/change", [
            'base' => 1,
            'stage' => 'survey',
            'change' => ['kind' => 'ReviseNotes', 'place' => 'lecture', 'text' => $notes],
        ])->assertOk();
        $begin = fn() => $this->postJson("/jobs/{$this->job->id}/traces", ['place' => 'lecture', 'near' => 'B1']);
        $trace = $this->answer($begin(), 'traceAnswer');
        $url = "/jobs/{$this->job->id}/traces/{$trace['id']}";
        // In truth the ends 1, 2, 3 are the legs B, C, A.
        $truth = [1 => 'B', 2 => 'C', 3 => 'A'];
        for ($n = 0; $trace['step'] !== null; $n++) {
            $tone = in_array(
                $truth[$trace['step']['end']],
                array_map(static fn(string $far): string => $far[0], $trace['step']['link']),
                true,
            );
            $asked = ['asked' => $trace['asked'], 'tone' => $tone];
            $again = $this->answer($this->postJson($url, $asked), 'traceAnswer');
            // Sent twice, as after a lost connection, an answer counts once.
            self::assertSame($again, $this->answer($this->postJson($url, $asked), 'traceAnswer'));
            if ($n === 1) {
                self::assertSame(
                    $trace['asked'],
                    $this->answer($this->postJson($url, ['back' => true]), 'traceAnswer')['asked'],
                );
                $again = $this->answer($this->postJson($url, $asked), 'traceAnswer');
                self::assertSame($trace['id'], $this->answer($begin(), 'traceAnswer')['id'], 'it goes on');
            }
            $trace = $again;
            if ($n === 0) {
                $this->postJson("{$url}/record")->assertStatus(422);
            }
        }
        self::assertSame([['B'], ['C'], ['A']], array_column($trace['ends'], 'legs'));
        self::assertTrue($this->answer($this->postJson("{$url}/record"), 'traceAnswer')['recorded']);
        $now = $this->job->newest();
        self::assertSame('3 legs of Lecture room traced', $now->words);
        self::assertStringContainsString(
            'leg A B1 to X 2x1.5, wall, traced # grey',
            $now->plan()->places['lecture']->notes,
        );
        $this->postJson("/jobs/{$this->job->id}/undo", ['stage' => 'survey'])->assertOk();
        self::assertSame($notes, $this->job->newest()->plan()->places['lecture']->notes);
        // A trace of another job is not reached, and a place without legs is reported.
        $this->postJson('/jobs/' . $this->job($this->job->crew)->id . "/traces/{$trace['id']}", [
            'back' => true,
        ])->assertNotFound();
        $this->postJson("/jobs/{$this->job->id}/traces", ['place' => 'lecture', 'near' => 'P9'])->assertStatus(422);
    }

    public function test_options_are_answered_for_a_run(): void
    {
        $options = $this->answer($this->getJson("/jobs/{$this->job->id}/options/cove"), 'options');
        self::assertCount(6, $options['options']);
        $this->getJson("/jobs/{$this->job->id}/options/nowhere")->assertStatus(422);
        $take = $options['options'][0]['take'];
        $this->postJson("/jobs/{$this->job->id}/change", [
            'base' => 1,
            'stage' => 'kit',
            'change' => $take,
        ])->assertOk();
        self::assertStringStartsWith('Option taken for Cove: 24 V, single colour', $this->job->newest()->words);
        self::assertSame(2, $this->job->newest()->number);
    }
}
