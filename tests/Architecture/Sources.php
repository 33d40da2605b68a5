<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;

/** Source files below a folder, as text and parsed: what the guards of the house look through. */
final class Sources
{
    /** @var array<string, list<Node>> statements by path of file, parsed once a process */
    private static array $parsed = [];

    /** @param  string  $root  folder that holds core, app, resources and the rest */
    public function __construct(private readonly string $root)
    {
    }

    /**
     * @param  callable(string): bool  $isWrong
     * @return list<string> "file: name" for every class, interface or enum named in the folder that is wrong
     */
    public function names(string $folder, callable $isWrong): array
    {
        return self::namesIn($this->trees($folder), $isWrong);
    }

    /**
     * @param  array<string, list<Node>>  $trees
     * @param  callable(string): bool  $isWrong
     * @return list<string>
     */
    public static function namesIn(array $trees, callable $isWrong): array
    {
        $wrong = [];
        foreach ($trees as $file => $tree) {
            foreach ((new NodeFinder())->findInstanceOf($tree, Node\Name\FullyQualified::class) as $name) {
                // Names of functions and constants have no class to find.
                if (str_contains($name->toString(), '\\') && $isWrong($name->toString())) {
                    $wrong["$file: $name"] = true;
                }
            }
        }

        return array_keys($wrong);
    }

    /**
     * @param  list<string>  $functions
     * @return list<string>
     */
    public function calls(string $folder, array $functions): array
    {
        return $this->found(
            $folder,
            Node\Expr\FuncCall::class,
            static fn (Node\Expr\FuncCall $call): ?string => $call->name instanceof Node\Name &&
            in_array($call->name->getLast(), $functions, true)
                ? "{$call->name}()"
                : null,
        );
    }

    /**
     * @param  list<string>  $methods
     * @return list<string>
     */
    public function methodCalls(string $folder, array $methods): array
    {
        return $this->found(
            $folder,
            Node\Expr\MethodCall::class,
            static fn (Node\Expr\MethodCall $call): ?string => $call->name instanceof Node\Identifier &&
            in_array($call->name->toString(), $methods, true)
                ? "{$call->name}()"
                : null,
        );
    }

    /**
     * @template N of Node
     *
     * @param  class-string<N>  $kind
     * @param  callable(N, string): ?string  $wrong  what is wrong with a node of a file; null when nothing is
     * @return list<string> "file: what is wrong"
     */
    public function found(string $folder, string $kind, callable $wrong): array
    {
        $all = [];
        foreach ($this->trees($folder) as $file => $tree) {
            foreach ((new NodeFinder())->find($tree, static fn (Node $n): bool => $n instanceof $kind) as $node) {
                $what = $wrong($node, $file);
                if ($what !== null) {
                    $all[] = "$file: $what";
                }
            }
        }

        return $all;
    }

    /** @return array<string, list<Node>> statements with names resolved, by file */
    public function trees(string $folder): array
    {
        $trees = [];
        foreach (array_filter($this->files([$folder]), static fn (string $file): bool => str_ends_with($file, '.php')) as $file) {
            $trees[$file] = self::$parsed["$this->root/$file"] ??= self::treeOf((string) file_get_contents("$this->root/$file"));
        }

        return $trees;
    }

    /** @return list<Node> */
    private static function treeOf(string $source): array
    {
        $traverser = new NodeTraverser();
        $traverser->addVisitor(new NameResolver());

        return array_values($traverser->traverse((array) (new ParserFactory())->createForNewestSupportedVersion()->parse($source)));
    }

    /**
     * @param  list<string>  $folders
     * @return list<string> paths of source files from the root, in order
     */
    public function files(array $folders = ['core', 'app', 'resources/ts', 'tests', 'benchmarks', 'database', 'routes', 'config']): array
    {
        $files = [];
        foreach (array_filter($folders, fn (string $folder): bool => is_dir("$this->root/$folder")) as $folder) {
            foreach (
                new \RecursiveIteratorIterator(
                    new \RecursiveDirectoryIterator("$this->root/$folder", \FilesystemIterator::SKIP_DOTS),
                ) as $file
            ) {
                if (in_array($file->getExtension(), ['php', 'ts', 'tsx', 'mjs', 'sh', 'html'], true)) {
                    $files[] = substr($file->getPathname(), strlen($this->root) + 1);
                }
            }
        }
        sort($files);

        return $files;
    }
}
