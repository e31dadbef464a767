<?php

declare(strict_types=1);

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use Symfony\Component\Finder\Finder;

/** @return Generator<string, list<Node\Stmt\Class_>> path => the classes in it, with their names resolved */
function classesOf(string ...$folders): Generator
{
    $parser = (new ParserFactory())->createForNewestSupportedVersion();
    $root = dirname(__DIR__, 2);
    foreach (
        Finder::create()->files()->name('*.php')->in(array_map(static fn(string $folder): string => "{$root}/{$folder}", $folders))
        as $file
    ) {
        $tree = (new NodeTraverser(new NameResolver()))->traverse($parser->parse($file->getContents()) ?? []);
        yield $file->getRelativePathname() => array_values((new NodeFinder())->findInstanceOf($tree, Node\Stmt\Class_::class));
    }
}

it('names what it hands to a constructor that takes more than five', function (): void {
    $classes = iterator_to_array(classesOf('app', 'core'));
    $takes = [];
    foreach (array_merge(...array_values($classes)) as $class) {
        $takes[(string) $class->namespacedName] = count($class->getMethod('__construct')->params ?? []);
    }
    $unnamed = [];
    foreach ($classes as $path => $some) {
        foreach ($some as $class) {
            foreach ((new NodeFinder())->findInstanceOf([$class], Node\Expr\New_::class) as $new) {
                $made = $new->class instanceof Node\Name ? $new->class->toString() : '';
                $made = $made === 'self' ? (string) $class->namespacedName : $made;
                $bare = array_filter(
                    $new->args,
                    static fn(Node $one): bool => $one instanceof Node\Arg && $one->name === null && !$one->unpack,
                );
                if (($takes[$made] ?? 0) > 5 && count($bare) > 5) {
                    $unnamed[] = "{$path}:{$new->getStartLine()} {$made}";
                }
            }
        }
    }
    expect($unnamed)->toBe([])->and(count(array_filter($takes, static fn(int $count): bool => $count > 5)))->toBeGreaterThan(60);
});
