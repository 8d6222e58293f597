<?php

declare(strict_types=1);

use App\Database\Trouble;
use App\History\Conflict;
use App\Http\Controllers\HealthController;
use App\Http\Middleware\AskRole;
use App\Http\Middleware\HandleInertiaRequests;
use App\Http\Middleware\KeepRecord;
use App\Http\Middleware\NoStore;
use App\Http\Middleware\OpenAccount;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SentBy;
use App\Http\Middleware\TellTime;
use App\Providers\AppServiceProvider;
use EmberDusk\Values\Refusal;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;
use Symfony\Component\HttpFoundation\Response;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__ . '/../routes/web.php',
        // Without a session: whoever watches asks often.
        then: static fn(): mixed => Route::get('/up', HealthController::class),
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Without a list every name is answered.
        $middleware->trustHosts(
            static fn(): array => array_map(
                static fn(string $host): string => '^' . preg_quote($host) . '$',
                AppServiceProvider::words('ember.hosts'),
            ),
            subdomains: false,
        );
        $middleware->prepend([SecurityHeaders::class, TellTime::class, PlainInput::class]);
        $middleware->web(
            append: [
                NoStore::class,
                OpenAccount::class,
                AskRole::class,
                KeepRecord::class,
                SentBy::class,
                HandleInertiaRequests::class,
            ],
        );
        // In a change of the plan an empty text says something: no fuse, no note.
        $middleware->convertEmptyStringsToNull([
            static fn(Request $request): bool => $request->is(
                'jobs/*/change',
                'jobs/*/preview',
                'jobs/*/quotes/preview',
            ),
        ]);
        $middleware->redirectGuestsTo(static fn(): string => route('sign-in'));
        $middleware->redirectUsersTo(static fn(): string => route('home'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([Refusal::class, Conflict::class]);
        // A refusal may quote a file that is no text at all.
        $exceptions->render(
            static fn(Refusal $t, Request $request): Response => $request->expectsJson()
                ? new JsonResponse(['message' => mb_scrub($t->getMessage()), 'pointer' => mb_scrub($t->pointer)], 422)
                : response()->view(
                    'errors.page',
                    ['title' => 'This cannot be done', 'what' => mb_scrub($t->getMessage())],
                    422,
                ),
        );
        $exceptions->render(static function (Throwable $e, Request $request): ?Response {
            $trouble = Trouble::for($e);
            if ($trouble === null) {
                return null;
            }

            return $request->expectsJson()
                ? new JsonResponse(['message' => $trouble->words()], $trouble->value)
                : response()->view(
                    'errors.page',
                    ['title' => $trouble->title(), 'what' => $trouble->words()],
                    $trouble->value,
                );
        });
        $exceptions->render(
            static fn(Conflict $c): JsonResponse => new JsonResponse(
                [
                    'message' => $c->getMessage(),
                    'yours' => $c->yours,
                    'theirs' => $c->theirs,
                    'revision' => $c->newest,
                    'over' => $c->over,
                ],
                409,
            ),
        );
        $exceptions->render(
            static fn(PostTooLargeException $e, Request $request): JsonResponse => new JsonResponse(
                [
                    'message' =>
                        'The file is too large: job and shelf files have at most 2 MB, photos 20 MB. Nothing was kept of it.',
                ],
                413,
            ),
        );
    })
    ->create();
