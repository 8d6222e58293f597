<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\JobProposal;
use App\Models\PersonLink;
use App\People\PersonLinks;
use App\People\Role;
use App\Time\Clock;
use App\Upkeep\Health;
use App\Upkeep\Tidy;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Tests\TestCase;

final class UpkeepTest extends TestCase
{
    use RefreshDatabase;

    private string $backups;

    protected function setUp(): void
    {
        parent::setUp();
        $this->backups = sys_get_temp_dir() . '/ember-upkeep-' . bin2hex(random_bytes(6));
        mkdir($this->backups);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("{$this->backups}/*") ?: []);
        rmdir($this->backups);
        parent::tearDown();
    }

    public function test_health_is_ok_without_a_session(): void
    {
        $response = $this->get('/up')->assertOk();
        self::assertSame("ok\n", $response->getContent());
        self::assertSame([], $response->headers->getCookies());
    }

    public function test_health_lists_troubles(): void
    {
        $this->travelTo('2026-12-01 09:00:00');
        $none = new Health(1e9, $this->backups);
        self::assertMatchesRegularExpression('/^The disk of the database has \d+ MB left\.$/', $none->troubles()[0]);
        self::assertSame('There is no backup.', $none->troubles()[1]);

        touch("{$this->backups}/ember-1.zip", Clock::now()->subHours(49)->getTimestamp());
        self::assertSame([], (new Health(0.0, $this->backups))->troubles());
        touch("{$this->backups}/ember-1.zip", Clock::now()->subHours(51)->getTimestamp());
        clearstatcache();
        self::assertSame(['The newest backup is 51 hours old.'], (new Health(0.0, $this->backups))->troubles());

        $job = $this->job($this->crew());
        $job->proposals()->create(['runs' => ['cove'], 'keep' => [], 'state' => 'waiting']);
        self::assertSame([], (new Health(0.0, ''))->troubles());
        $this->travel(3)->minutes();
        self::assertSame(['The worker is not running: a proposal waits.'], (new Health(0.0, ''))->troubles());
        config(['ember.disk_megabytes' => 0]);
        $this->get('/up')->assertStatus(503);
        self::assertSame(1, Artisan::call('ember:health'));
        self::assertStringContainsString('The worker is not running', Artisan::output());
    }

    public function test_tidying_removes_expired_data_only(): void
    {
        $this->travelTo('2026-10-01 09:00:00');
        $crew = $this->crew();
        [$gone, $kept, $deleted] = [$this->job($crew), $this->job($crew), $this->job($crew)];
        $gone->delete();
        $kept->proposals()->create(['runs' => ['cove'], 'keep' => [], 'state' => 'done']);
        PersonLinks::invite($crew, Role::Installer, null);
        $this->travelTo('2026-11-08 09:00:01');
        $deleted->delete();
        $kept->proposals()->create(['runs' => ['cove'], 'keep' => [], 'state' => 'done']);
        PersonLinks::invite($crew, Role::Installer, null);

        self::assertSame(
            ['deleted jobs' => 1, 'proposals' => 1, 'links' => 1],
            array_slice((new Tidy(Clock::now()))->run(), 0, 3),
        );
        self::assertSame([$kept->id, $deleted->id], $crew->jobs()->withTrashed()->pluck('id')->all());
        self::assertSame([1, 1], [JobProposal::query()->count(), PersonLink::query()->count()]);
    }
}
