<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use App\Kit\Shelves;
use App\Models\Job;
use App\Models\User;
use Closure;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Document;
use EmberDusk\Values\JobStage;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Route as Routes;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use ReflectionClassConstant;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/** Requests for every route, built from its rules and then broken. The same seed makes the same requests. */
final class Fuzzer
{
    /** Seconds that an answer may take: of this process, so that it does not matter what else the machine does. */
    private const SLOW = 3.0;

    /** Requests after which every page of the job is opened. */
    private const PAGES = 100;

    private const PAPERS = [
        'log',
        'sheet',
        'export',
        'history',
        'day-sheets',
        'van',
        'quote',
        'quotes',
        'labels',
        'build.ics',
        'cuts.csv',
        'parts.csv',
        'log.csv',
        'items',
        'state?stage=wire',
    ];

    /** Pages that were opened. */
    public int $opened = 0;

    /** The slowest answer so far. */
    public float $slowest = 0.0;

    private readonly Values $values;

    private readonly Bodies $bodies;

    /** @var non-empty-list<string> of changes */
    private readonly array $kinds;

    /** @var non-empty-list<Route> */
    private readonly array $routes;

    /**
     * @param  Closure(Request): Response  $handle
     * @param  non-empty-list<int>  $jobs  of the crew of the person who asks; another crew's may be among them
     */
    public function __construct(
        int $seed,
        private readonly Closure $handle,
        private readonly User $user,
        private readonly array $jobs,
    ) {
        $plan = Job::query()->findOrFail($jobs[0])->newest()->plan();
        $ids = ['', 'cove', 'lecture', 'B1', 'P1', 'full', 'a'];
        foreach (Document::lists() as $list) {
            foreach ((array) (Document::write($plan)[$list] ?? []) as $item) {
                $ids[] = is_array($item) && is_string($item['id'] ?? null) ? $item['id'] : '';
            }
        }
        $this->values = new Values(
            new Randomizer(new Xoshiro256StarStar(hash('sha256', "seed {$seed}", true))),
            array_values(array_unique($ids)),
        );
        /** @var non-empty-array<string, class-string> $kinds */
        $kinds = (new ReflectionClassConstant(Catalogue::class, 'KINDS'))->getValue();
        $this->kinds = array_keys($kinds);
        $this->bodies = new Bodies(
            $this->values,
            $this->kinds,
            (string) file_get_contents(base_path('core/tests/fixtures/job-narrowboat.json')),
            (string) file_get_contents(database_path('demo/shelf.json')),
        );
        /** @var non-empty-list<Route> $routes */
        $routes = array_values(
            array_filter(Routes::getRoutes()->getRoutes(), static fn(Route $r): bool => $r->uri() !== 'up'),
        );
        $this->routes = $routes;
    }

    /**
     * @param  Closure(string): void  $failed  told of each request that the server fails at
     * @return array<int, int> answers by status
     */
    public function run(int $requests, Closure $failed): array
    {
        $statuses = [];
        for ($n = 0; $n < $requests; $n++) {
            if ($n % self::PAGES === self::PAGES - 1) {
                $this->pages($failed);
            }
            $request = $this->request();
            $about =
                "{$request->method()} {$request->getRequestUri()} " .
                substr((string) $request->getContent() ?: (string) json_encode($request->request->all()), 0, 600);
            Auth::forgetGuards();
            // Sometimes no one is signed in.
            if ($this->values->below(40) > 0) {
                Auth::setUser($this->user);
            }
            $at = self::worked();
            try {
                $response = ($this->handle)($request);
                $status = $response->getStatusCode();
                if (
                    $response instanceof \Illuminate\Http\Response ||
                    $response instanceof \Illuminate\Http\JsonResponse
                ) {
                    $why = $response->exception?->getMessage();
                } else {
                    $why = null;
                }
            } catch (Throwable $e) {
                [$status, $why] = [599, get_class($e) . ': ' . $e->getMessage()];
            }
            $took = self::worked() - $at;
            $this->slowest = max($this->slowest, $took);
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
            if ($status >= 500 || $took > self::SLOW) {
                $failed(sprintf("request %d: %d after %.1f s, %s\n    %s", $n, $status, $took, $why ?? '', $about));
            }
        }
        ksort($statuses);

        return $statuses;
    }

    /**
     * Opens every page and paper of the job: whatever was accepted so far, they are there.
     *
     * @param  Closure(string): void  $failed
     */
    private function pages(Closure $failed): void
    {
        $job = Job::query()->find($this->jobs[0]);
        if ($job === null) {
            return;
        }
        foreach ([...array_column(JobStage::cases(), 'value'), ...self::PAPERS] as $page) {
            Auth::forgetGuards();
            Auth::setUser($this->user);
            $request = Request::create("/jobs/{$job->id}/{$page}", 'GET', server: ['HTTP_ACCEPT' => 'text/html']);
            try {
                $status = ($this->handle)($request)->getStatusCode();
                $why = '';
            } catch (Throwable $e) {
                [$status, $why] = [599, get_class($e) . ': ' . $e->getMessage()];
            }
            $this->opened++;
            if ($status !== 200) {
                $failed("page {$page} of job {$job->id}: {$status} {$why}");
            }
        }
    }

    /** How many kinds of changes fitted, of how many. */
    public function learnt(): string
    {
        return count($this->bodies->learnt()) . ' of ' . count($this->kinds);
    }

    /** @return list<string> kinds of changes that never fitted */
    public function missing(): array
    {
        return array_values(array_diff($this->kinds, $this->bodies->learnt()));
    }

    /** Seconds that this process has worked. */
    private static function worked(): float
    {
        /** @var array<string, int> $used */
        $used = getrusage();

        return $used['ru_utime.tv_sec'] +
            $used['ru_stime.tv_sec'] +
            1e-6 * ($used['ru_utime.tv_usec'] + $used['ru_stime.tv_usec']);
    }

    private function request(): Request
    {
        $route = $this->values->one($this->routes);
        // Changes of the plan are many routes in one.
        if ($this->values->below(4) === 0) {
            $route = Routes::getRoutes()->getByName($this->values->one(['jobs.change', 'jobs.preview'])) ?? $route;
        }
        $method = $route->methods()[0];
        $job = Job::query()->find($this->jobs[0]);
        $body = $this->bodies->for($route, Request::create('/' . ltrim($route->uri(), '/'), $method));
        if ($job !== null && array_key_exists('change', $body)) {
            $newest = $job->newest();
            $body['change'] = $this->bodies->change($newest->plan(), Shelves::ofCrew($job->crew));
            $body['base'] = $newest->number;
        }
        for ($breaks = $this->values->below(4); $breaks > 0; $breaks--) {
            $body = $this->broken($body);
        }
        $files = array_filter($body, static fn(mixed $one): bool => $one instanceof UploadedFile);
        $server = ['HTTP_ACCEPT' => $this->values->below(5) === 0 ? 'text/html' : 'application/json'];
        if ($method === 'GET') {
            return Request::create(
                $this->address($route),
                $method,
                array_map(static fn(mixed $v): mixed => is_bool($v) ? (int) $v : $v, $body),
                [],
                [],
                $server,
            );
        }
        if ($files !== []) {
            return Request::create($this->address($route), $method, array_diff_key($body, $files), [], $files, $server);
        }
        $text = Values::json($body);
        $text = match ($this->values->below(40)) {
            0 => substr($text, 0, $this->values->below(strlen($text) + 1)),
            1 => '[1,2,3]',
            2 => "\xff\xfe" . $text,
            default => $text,
        };

        return Request::create(
            $this->address($route),
            $method,
            [],
            [],
            [],
            $server + ['CONTENT_TYPE' => $this->values->below(20) === 0 ? 'text/plain' : 'application/json'],
            $text,
        );
    }

    /** One that a web server would hand on at all. */
    private function address(Route $route): string
    {
        for (;;) {
            $path = $this->path($route);
            if (parse_url($path) !== false) {
                return $path;
            }
        }
    }

    private function path(Route $route): string
    {
        return '/' .
            ltrim(
                (string) preg_replace_callback(
                    '/\{(\w+)\}/',
                    fn(array $p): string => match (true) {
                        $this->values->below(12) === 0 => rawurlencode(
                            (string) $this->values->one([
                                0,
                                -1,
                                'abc',
                                '9999999999999999999',
                                "\0",
                                "\xff",
                                '../..',
                                'x"y',
                                "a'b",
                                '1.0',
                                str_repeat('9', 300),
                            ]),
                        ),
                        $p[1] === 'job' => (string) $this->values->one($this->jobs),
                        $p[1] === 'stage' => $this->values->one(['survey', 'kit', 'wire', 'parts', 'build', 'cellar']),
                        $p[1] === 'format' => $this->values->one(['csv', 'json', 'xml']),
                        in_array($p[1], ['run', 'place', 'entry'], true) => rawurlencode($this->values->id()),
                        default => (string) (1 + $this->values->below(4)),
                    },
                    $route->uri(),
                ),
                '/',
            );
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return array<array-key, mixed>
     */
    private function broken(array $body): array
    {
        if ($body === [] || $this->values->below(12) === 0) {
            return $body + [
                $this->values->one(['extra', 'kind', 'id', '__proto__', "a\0b", 'change']) => $this->values->strange(
                    'x',
                ),
            ];
        }
        $key = $this->values->one(array_keys($body));
        if (is_array($body[$key]) && $body[$key] !== [] && $this->values->below(3) > 0) {
            $body[$key] = $this->broken($body[$key]);
        } elseif ($this->values->below(6) === 0) {
            unset($body[$key]);
        } elseif (!($body[$key] instanceof UploadedFile) || $this->values->below(4) === 0) {
            $body[$key] = $this->values->strange($body[$key] instanceof UploadedFile ? 'file' : $body[$key]);
        }

        return $body;
    }
}
