<?php

declare(strict_types=1);

namespace Harmozon\Core\Tests\Words;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\NodeVisitor\ParentConnectingVisitor;
use PhpParser\ParserFactory;

/** A folder of PHP, parsed: names resolved, and every node knows its parent. */
final readonly class Sources
{
    /** @param  array<string, list<Node>>  $files  statements by path below the folder */
    private function __construct(public array $files)
    {
    }

    public static function below(string $folder): self
    {
        $parser = (new ParserFactory())->createForHostVersion();
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $files[substr($file->getPathname(), strlen($folder) + 1)] = self::parsed($parser->parse((string) file_get_contents($file->getPathname())) ?? []);
            }
        }
        ksort($files);

        return new self($files);
    }

    public static function ofText(string $code): self
    {
        return new self(['text.php' => self::parsed((new ParserFactory())->createForHostVersion()->parse($code) ?? [])]);
    }

    /**
     * @template T of Node
     *
     * @param  class-string<T>  $kind
     * @return list<array{string, T}> path, and node
     */
    public function all(string $kind): array
    {
        $found = [];
        foreach ($this->files as $path => $statements) {
            foreach ((new NodeFinder())->findInstanceOf($statements, $kind) as $node) {
                $found[] = [$path, $node];
            }
        }

        return $found;
    }

    /**
     * The nearest node around one.
     *
     * @template T of Node
     *
     * @param  class-string<T>  $kind
     * @return T|null
     */
    public static function around(Node $node, string $kind): ?Node
    {
        do {
            $node = $node->getAttribute('parent');
        } while ($node instanceof Node && ! $node instanceof $kind);

        return $node instanceof $kind ? $node : null;
    }

    /**
     * @param  array<Node>  $statements
     * @return list<Node>
     */
    private static function parsed(array $statements): array
    {
        $traverser = new NodeTraverser(new NameResolver(), new ParentConnectingVisitor());

        return array_values($traverser->traverse($statements));
    }
}
