<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use App\Kit\Shelves;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Refusal;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Route;
use ReflectionMethod;
use ReflectionNamedType;
use Stringable;

/** Good bodies: from the rules of a route's form request, and for changes of the plan from what the core asks for, field by field. */
final class Bodies
{
    /** Changes of the demo job that are not found field by field, by kind. */
    private const KNOWN = [
        'SetLeg' => ['place' => 'lecture', 'leg' => 0, 'length' => '5,35'],
        'SplitRun' => ['run' => 'cove', 'parts' => 2],
        'SplitRepeater' => ['run' => 'cove', 'kit' => 'repeater-4'],
        'SetZones' => ['run' => 'band', 'pads' => [20]],
        'FeedFrom' => ['run' => 'band', 'from' => 's3'],
        'FeedPattern' => ['run' => 'cove', 'pattern' => 'ends'],
        'HangFixture' => ['fixture' => 'x1', 'on' => 'm1', 'kit' => 'cable-2x15', 'length' => 1],
        'SetSegments' => ['run' => 'band', 'segments' => [['name' => 'Gate', 'first' => 1, 'last' => 20]]],
        'SetSwitch' => ['controller' => 'c2', 'setting' => 'rgbw'],
        'SetShow' => [
            'show' => null,
            'name' => 'Evening',
            'as' => 'random',
            'steps' => [],
            'lights' => ['c3'],
            'every' => 5,
            'way' => 'forth',
            'rounds' => 0,
            'leader' => '',
        ],
        'ReviseNotes' => [
            'place' => 'place3',
            'text' =>
                "start door\n10.50 band\nbox B3 at 0.20\nbox B7 at 10.20\nleg D B3 to B7 3x2.5 11.20, ceiling, known",
        ],
        'UseLeg' => ['run' => 'band', 'leg' => 'D', 'drop' => 'cable-3x15'],
        'BackTogether' => ['run' => 'cove'],
    ];

    /** @var array<string, array<string, mixed>> */
    private array $learnt = [];

    /** @param  non-empty-list<string>  $kinds  of changes */
    public function __construct(
        private readonly Values $values,
        private readonly array $kinds,
        private readonly string $jobFile,
        private readonly string $shelfFile,
    ) {}

    /** @return array<string, mixed> */
    public function for(Route $route, Request $request): array
    {
        $body = [];
        foreach ($this->rules($route, $request) as $path => $rules) {
            $rules = array_values(
                array_filter((array) $rules, static fn(mixed $r): bool => is_string($r) || $r instanceof Stringable),
            );
            data_set(
                $body,
                str_replace('*', '0', (string) $path),
                $this->good((string) $path, array_map(strval(...), $rules)),
            );
        }

        return $body;
    }

    /** @return array<string, mixed> a change that fits, or nearly */
    public function change(Plan $plan, Shelves $shelf): array
    {
        $kind = $this->values->one($this->kinds);
        if (!isset($this->learnt['UseLeg']) && $this->values->below(4) === 0) {
            // A leg fits only in notes that name both its ends.
            $kind = $this->values->one(['ReviseNotes', 'UseLeg']);
            unset($this->learnt['ReviseNotes']);
        }
        if (isset($this->learnt[$kind]) && $this->values->below(3) > 0) {
            return $this->learnt[$kind];
        }
        $change = ['kind' => $kind] + ($this->values->below(2) === 0 ? self::KNOWN[$kind] ?? [] : []);
        for ($n = 0; $n < 40; $n++) {
            try {
                Catalogue::read($change, $shelf)->apply($plan);

                return $this->learnt[$kind] = $change;
            } catch (Refusal $t) {
                $path = str_replace('/', '.', ltrim($t->pointer, '/'));
                if ($path === '' || $path === 'kind') {
                    break;
                }
                data_set($change, $path, $this->wanted($t->getMessage()));
            }
        }

        return $change;
    }

    /** @return list<string> kinds of changes with at least one that fitted the plan */
    public function learnt(): array
    {
        return array_keys($this->learnt);
    }

    public function file(string $name): UploadedFile
    {
        $jpeg = static function (): string {
            ob_start();
            imagejpeg(imagecreatetruecolor(64, 48));

            return (string) ob_get_clean();
        };
        $text = $this->values->one([
            $this->jobFile,
            $this->shelfFile,
            "kind;id;name;amps;form\nfuse;fuse-f;F;5;blade\n",
            $jpeg(),
            '',
            '{',
            'null',
            '[]',
            "PK\x03\x04xxxx",
            (string) gzencode('{}'),
            "\xEF\xBB\xBF" . $this->jobFile,
            str_repeat('{"a":', 600),
            '{"format":"ember-dusk-job","version":1e999}',
        ]);
        for ($n = $this->values->below(4); $n > 0 && $text !== ''; $n--) {
            $at = $this->values->below(strlen($text));
            $text = match ($this->values->below(5)) {
                0 => substr_replace($text, chr($this->values->below(256)), $at, 1),
                1 => substr($text, 0, $at),
                2 => (string) preg_replace(
                    '/-?\d+(\.\d+)?/',
                    $this->values->one(['1e999', '-1', '0', '99999999999999999999', '1.5', '"x"', 'null']),
                    $text,
                    1 + $this->values->below(9),
                ),
                3 => (string) preg_replace(
                    '/"[a-z][a-z0-9-]*"/',
                    $this->values->one(['"x"', '""', 'null', '[]', '{}', '"\u0000"']),
                    $text,
                    1 + $this->values->below(9),
                ),
                default => substr_replace($text, substr($text, $at, 200), $at, 0),
            };
        }

        return UploadedFile::fake()->createWithContent($name, $text);
    }

    /** @return array<array-key, mixed> */
    private function rules(Route $route, Request $request): array
    {
        $action = $route->getActionName();
        if (!str_contains($action, '@')) {
            return [];
        }
        foreach ((new ReflectionMethod(...explode('@', $action)))->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof ReflectionNamedType && is_subclass_of($type->getName(), FormRequest::class)) {
                $form = $type->getName()::createFrom($request);
                $bound = (clone $route)->bind($request);
                $form->setRouteResolver(static fn(): Route => $bound);
                if (method_exists($form, 'rules')) {
                    return (array) $form->rules();
                }

                return [];
            }
        }

        return [];
    }

    /** @param  list<string>  $rules */
    private function good(string $path, array $rules): mixed
    {
        $of = static function (string $rule) use ($rules): ?string {
            foreach ($rules as $r) {
                if (str_starts_with($r, "{$rule}:")) {
                    return substr($r, strlen($rule) + 1);
                }
            }

            return null;
        };
        $in = $of('in');

        return match (true) {
            in_array('file', $rules, true) => $this->file(basename($path)),
            $in !== null && $in !== '' => trim($this->values->one(explode(',', $in)), '"'),
            in_array('uuid', $rules, true) => sprintf(
                '%08x-9a51-4c7e-8f7f-%012x',
                $this->values->below(PHP_INT_MAX >> 32),
                $this->values->below(1 << 40),
            ),
            $of('date_format') === 'Y-m-d' => sprintf('2026-12-%02d', 1 + $this->values->below(28)),
            $of('date_format') !== null => sprintf('2026-11-25T%02d:00:00.000Z', $this->values->below(24)),
            in_array('boolean', $rules, true) => $this->values->below(2) === 1,
            in_array('integer', $rules, true), in_array('numeric', $rules, true) => (float) ($of('min') ?? 0) +
                $this->values->below(3),
            in_array('array', $rules, true) => [],
            in_array('email', $rules, true) => 'one@firm.example',
            default => $this->values->id(),
        };
    }

    /** Expected value in a refusal of the core. */
    private function wanted(string $message): mixed
    {
        return match (true) {
            str_contains($message, 'number') || preg_match('/lies outside|metres|whole/', $message) === 1
                => $this->values->one([0, 1, 2, 0.5, 5]),
            str_contains($message, 'true or false') => $this->values->below(2) === 1,
            str_contains($message, 'A list') => [],
            str_contains($message, 'An object') => ['a' => 1],
            preg_match('/is not one of (.+)\./', $message, $found) === 1 => $this->values->one(
                explode(', ', $found[1]),
            ),
            preg_match('/^\d+ to \d+ /', $message) === 1 => [$this->values->one([0.5, 'cove', ['run' => 'cove']])],
            default => $this->values->id(),
        };
    }
}
