<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use EmberDusk\Tests\Demo;

/** The demo job of a crew, with a person of that crew signed in. */
trait ObservatoryJob
{
    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->job = $this->job($this->crew());
        $this->actingAs($this->user($this->job->crew));
    }

    protected function jobFile(): string
    {
        return Demo::file('observatory');
    }
}
