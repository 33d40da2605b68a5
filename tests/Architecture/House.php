<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\NodeFinder;

/**
 * What the house forbids. Each public method is one guard: it returns what breaks its rule, one line each, and an empty list when the rule
 * holds.
 */
final class House
{
    /** Rooms of the core, lowest first; a room uses only rooms on lower floors. */
    private const FLOORS = [
        'Error' => 0,
        'Kinds' => 0,
        'Colour' => 1,
        'Medium' => 2,
        'Drawer' => 3,
        'Photo' => 3,
        'Recipe' => 4,
        'Picture' => 5,
        'Desk' => 6,
        'Chart' => 6,
        'Book' => 7,
        'Formats' => 8,
    ];

    private const INPUT_OR_OUTPUT = [
        'file_get_contents',
        'file_put_contents',
        'scandir',
        'glob',
        'opendir',
        'time',
        'date',
        'microtime',
        'hrtime',
        'rand',
        'mt_rand',
        'random_int',
        'random_bytes',
        'shuffle',
        'array_rand',
        'uniqid',
        'getenv',
        'sleep',
        'usleep',
    ];

    private const DEBUGGING = ['dd', 'dump', 'ray', 'var_dump', 'print_r', 'var_export', 'debug_zval_refcount'];

    /** What a request is answered with is an action's or the core's to work out; a controller only passes values on. */
    private const NOT_FOR_CONTROLLERS = [
        'Illuminate\Support\Facades\DB',
        'Illuminate\Support\Facades\Cache',
        'KnottyPrism\Core\Medium\Laying\LayPass',
        'KnottyPrism\Core\Recipe\Search',
        'KnottyPrism\Core\Recipe\SequenceSearch',
        'KnottyPrism\Core\Picture\PlanPicture',
    ];

    private readonly Sources $sources;

    /** @param  string  $root  folder that holds core, app, resources and the rest */
    public function __construct(private readonly string $root)
    {
        $this->sources = new Sources($root);
    }

    /** @return list<string> names in the core that are neither its own nor PHP's */
    public function foreignInCore(): array
    {
        $isPhps = static fn (string $name): bool => (class_exists($name) || interface_exists($name)) &&
            (new \ReflectionClass($name))->isInternal();
        $helpers = $this->sources->found(
            'core',
            Node\Expr\FuncCall::class,
            static fn (Node\Expr\FuncCall $call): ?string => $call->name instanceof Node\Name &&
            ! (function_exists($call->name->getLast()) && (new \ReflectionFunction($call->name->getLast()))->isInternal())
                ? "{$call->name}()"
                : null,
        );

        return [
            ...$this->sources->names(
                'core',
                static fn (string $name): bool => ! str_starts_with($name, 'KnottyPrism\Core\\') && ! $isPhps($name),
            ),
            ...$helpers,
        ];
    }

    /** @return list<string> */
    public function inputAndOutputInCore(): array
    {
        $outputs = array_keys(
            array_filter(
                $this->sources->trees('core'),
                static fn (array $tree): bool => (new NodeFinder())->findFirst(
                    $tree,
                    static fn (Node $n): bool => $n instanceof Node\Stmt\Echo_ ||
                        $n instanceof Node\Expr\Print_ ||
                        $n instanceof Node\Stmt\InlineHTML,
                ) !== null,
            ),
        );

        // A stream in memory is no file.
        $opened = $this->sources->found(
            'core',
            Node\Expr\FuncCall::class,
            static fn (Node\Expr\FuncCall $call): ?string => (string) ($call->name instanceof Node\Name ? $call->name : '') === 'fopen' &&
            ! str_starts_with((string) ($call->args[0]->value->value ?? ''), 'php://')
                ? 'fopen()'
                : null,
        );

        $calls = $this->sources->calls('core', self::INPUT_OR_OUTPUT);

        // What there is of a kind is found in its folder, there and nowhere else.
        return [...$outputs, ...$opened, ...array_values(array_diff($calls, ['core/Kinds/Found.php: scandir()']))];
    }

    /** @return list<string> */
    public function debugging(): array
    {
        return [...$this->sources->calls('core', self::DEBUGGING), ...$this->sources->calls('app', self::DEBUGGING)];
    }

    /** @return list<string> files of core and application without strict types */
    public function looseTypes(): array
    {
        $strict = static fn (array $tree): bool => ($tree[0] ?? null) instanceof Node\Stmt\Declare_ &&
            $tree[0]->declares[0]->key->toString() === 'strict_types';

        return array_keys(
            array_filter(
                [...$this->sources->trees('core'), ...$this->sources->trees('app')],
                static fn (array $tree): bool => ! $strict($tree),
            ),
        );
    }

    /** @return list<string> classes of the core that could be extended; kinds are abstract, what is of a kind is final */
    public function openClasses(): array
    {
        return $this->sources->found(
            'core',
            Node\Stmt\Class_::class,
            static fn (Node\Stmt\Class_ $class): ?string => $class->isFinal() || $class->isAbstract() || $class->isAnonymous()
                ? null
                : (string) $class->name,
        );
    }

    /** @return list<string> classes of the core that use a room on their own floor or above */
    public function upwardInCore(): array
    {
        $wrong = [];
        foreach ($this->imports('core')->rooms(1) as $from => $needs) {
            foreach ($needs as $to => $classes) {
                if ((self::FLOORS[$from] ?? -1) <= (self::FLOORS[$to] ?? 99)) {
                    array_push($wrong, ...$classes);
                }
            }
        }

        return $wrong;
    }

    /** @return list<string> rooms that need each other, at whatever depth and by whatever detour: "A → B → A" */
    public function cycles(): array
    {
        return [...$this->imports('core')->cycles(), ...$this->imports('app')->cycles()];
    }

    /** @return list<string> controllers, in any folder, that compute, ask the database by hand or hold rules of a request */
    public function thickControllers(): array
    {
        $wrong = $this->sources->names(
            'app/Http/Controllers',
            static fn (string $name): bool => array_filter(
                self::NOT_FOR_CONTROLLERS,
                static fn (string $not): bool => $name === $not || str_starts_with($name, "$not\\"),
            ) !== [],
        );

        return [...$wrong, ...$this->sources->methodCalls('app/Http/Controllers', ['validate', 'whereRaw', 'selectRaw'])];
    }

    /** @return list<string> resources that ask a model, a cache or an action: they are given values and return JSON */
    public function askingResources(): array
    {
        return $this->sources->names(
            'app/Resources',
            static fn (string $name): bool => preg_match('~^(KnottyPrism\\\\Core|App\\\\Resources)\\\\~', $name) !== 1,
        );
    }

    /**
     * @return list<string> those that use a job but neither answer a request nor set the application up: jobs call actions, never the
     *   reverse
     */
    public function jobsCalled(): array
    {
        $callers = array_filter(
            $this->sources->trees('app'),
            static fn (string $file): bool => preg_match('~^app/(Jobs|Providers|Http/Controllers)/~', $file) !== 1,
            ARRAY_FILTER_USE_KEY,
        );

        return Sources::namesIn($callers, static fn (string $name): bool => str_starts_with($name, 'App\Jobs\\'));
    }

    /** @return list<string> folders of more than 20 files */
    public function fullFolders(): array
    {
        $full = array_filter(
            array_count_values(array_map(dirname(...), $this->sources->files())),
            static fn (int $files): bool => $files > 20,
        );

        return array_keys($full);
    }

    /** @return list<string> lines of more than 140 characters, but for what is generated and scripts of the shell */
    public function longLines(): array
    {
        $long = [];
        foreach ($this->sources->files() as $file) {
            foreach (preg_match('/\.gen\.ts$|\.sh$/', $file) === 1 ? [] : (array) file("$this->root/$file") as $at => $line) {
                mb_strlen(preg_replace("/\\{' '\\}$/", '', rtrim((string) $line))) > 140 && ($long[] = "$file: line ".($at + 1));
            }
        }

        return $long;
    }

    /** @return list<string> files of more than 300 lines, and tests of more than 450, but for what is generated */
    public function longFiles(): array
    {
        return array_values(
            array_filter(
                $this->sources->files(),
                fn (string $file): bool => ! str_ends_with($file, '.gen.ts')
                    && count((array) file("$this->root/$file")) > (str_starts_with($file, 'tests/') ? 450 : 300),
            ),
        );
    }

    /** @return list<string> functions of 75 lines or more; tests may list cases as long as they like */
    public function longFunctions(): array
    {
        $long = static fn (Node\FunctionLike $f): ?string => $f->getEndLine() - $f->getStartLine() >= 75
            ? 'line '.$f->getStartLine()
            : null;

        return [
            ...$this->sources->found('core', Node\FunctionLike::class, $long),
            ...$this->sources->found('app', Node\FunctionLike::class, $long),
            ...$this->sources->found('benchmarks', Node\FunctionLike::class, $long),
        ];
    }

    /** @return list<string> public functions of the core that speak in arrays with keys; what reads or writes JSON may */
    public function keyedArraysInCore(): array
    {
        return $this->sources->found('core', Node\Stmt\ClassMethod::class, static function (
            Node\Stmt\ClassMethod $method,
            string $file,
        ): ?string {
            $isOfJson = str_contains($file, '/Formats/') || in_array($method->name->toString(), ['ofArray', 'toArray'], true);

            return $method->isPublic() &&
                ! $isOfJson &&
                preg_match('/array\{[^}]*\w+\??:/', (string) $method->getDocComment()?->getText()) === 1
                ? $method->name->toString()
                : null;
        });
    }

    /** @return list<string> files with a word that docs/words.md has another for */
    public function wordsOfOld(): array
    {
        return $this->withWords('may not appear', $this->sources->files(), static fn (string $file, string $text): string => $text);
    }

    /** @return list<string> texts that somebody reads, with words that nobody would say across a table */
    public function wordsOnScreens(): array
    {
        return $this->withWords(
            'not where somebody reads it',
            $this->sources->files(['app', 'core', 'resources', 'public/away']),
            Shown::of(...),
        );
    }

    /** @return list<string> words of the same list in the pages of docs and the README, but for code and for the list itself */
    public function wordsInDocs(): array
    {
        $pages = array_map(
            fn (string $page): string => substr($page, strlen($this->root) + 1),
            [...(array) glob("$this->root/docs/*.md"), "$this->root/README.md"],
        );

        return $this->withWords(
            'not where somebody reads it',
            array_values(array_diff(array_filter($pages, fn (string $page): bool => is_file("$this->root/$page")), ['docs/words.md'])),
            static fn (string $page, string $text): string => (string) preg_replace(['~`[^`]*`~', '~\s+~'], ['', ' '], $text),
        );
    }

    /**
     * @param  string  $table  head of the first column of a table in docs/words.md
     * @param  list<string>  $files  that are looked through
     * @param  callable(string, string): string  $read  what of it, by its path and its text
     * @return list<string>
     */
    private function withWords(string $table, array $files, callable $read): array
    {
        $page = (string) file_get_contents(dirname(__DIR__, 2).'/docs/words.md');
        $rows = explode("\n\n", explode("\n| $table | say |\n|---|---|\n", $page)[1])[0];
        $words = implode(
            '|',
            array_map(static fn (string $row): string => preg_quote(trim(explode('|', $row)[1]), '~'), explode("\n", trim($rows))),
        );
        $wrong = [];
        foreach ($files as $file) {
            $text = $read($file, (string) file_get_contents("$this->root/$file"));
            if (preg_match_all("~(?<!\\w)(?:$words)(?!\\w)~i", $text, $found) > 0) {
                array_push($wrong, ...array_map(static fn (string $word): string => "$file: $word", array_unique($found[0])));
            }
        }

        return $wrong;
    }

    private function imports(string $folder): Imports
    {
        return new Imports($this->sources, $folder);
    }
}
