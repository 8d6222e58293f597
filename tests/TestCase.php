<?php

declare(strict_types=1);

namespace Tests;

use App\History\Revisions;
use App\Kit\Shelves;
use App\Models\Crew;
use App\Models\Job;
use App\Models\User;
use App\People\Role;
use EmberDusk\Plan\JobFile;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\Responses;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

abstract class TestCase extends BaseTestCase
{
    /** Commands are run for real; their output is read, not expected in advance. */
    public $mockConsoleOutput = false;

    protected function crew(string $name = 'Crew A'): Crew
    {
        $crew = Crew::query()->firstOrCreate(['name' => $name]);
        Shelves::stock($crew, database_path('demo/shelf.json'));

        return $crew;
    }

    protected function user(Crew $crew, string $email = 'one@firm.example'): User
    {
        return User::query()
            ->firstOrCreate(
                ['email' => $email],
                [
                    'name' => ucfirst(explode('@', $email)[0]),
                    'password' => 'long enough a word',
                    'crew_id' => $crew->id,
                    'role' => Role::Owner,
                ],
            )
            ->refresh();
    }

    /** A job of one room in a crew. */
    protected function job(Crew $crew): Job
    {
        return (new Revisions())->begin($crew, null, JobFile::read($this->jobFile()), 'Imported');
    }

    protected function jobFile(): string
    {
        return Demo::text();
    }

    /**
     * Holds a JSON answer against the schema that the screens' types are made from.
     *
     * @param  TestResponse<Response>  $response
     * @return array<string, mixed>
     */
    protected function answer(TestResponse $response, string $as = 'answer'): array
    {
        $response->assertSuccessful();
        Responses::check((string) $response->getContent(), $as);

        return (array) $response->json();
    }
}
