<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\BookInput;

/** The signal graph in the base situation in the DOT language, unit by unit. Source: https://graphviz.org/doc/info/lang.html */
final class Dot implements Exporter
{
    public function key(): string
    {
        return 'dot';
    }

    public function label(): string
    {
        return 'Signal graph (DOT)';
    }

    public function extension(): string
    {
        return 'dot';
    }

    public function mediaType(): string
    {
        return 'text/vnd.graphviz; charset=utf-8';
    }

    public function write(BookInput $of): string
    {
        $network = new Network($of->graph());
        $units = [];
        foreach ($network->nodes as $id => $node) {
            $units[$node['unit']][] = '    '.self::quoted((string) $id).' [label='.self::quoted($node['label']).'];';
        }
        $lines = ['digraph '.self::quoted($of->rig->name).' {', '  rankdir=LR;', '  newrank=true;', '  node [shape=box];'];
        foreach (array_values($units) as $number => $nodes) {
            $label = self::quoted((string) array_keys($units)[$number]);
            array_push($lines, "  subgraph cluster_{$number} {", "    label={$label};", ...[...$nodes, '  }']);
        }
        foreach ($network->edges as $edge) {
            $lines[] = '  '.self::quoted($edge['from']).' -> '.self::quoted($edge['to']).' [label='.self::quoted($edge['label'])
                .($edge['carries'] ? '' : ', style=dashed').'];';
        }

        return implode("\n", [...$lines, '}', '']);
    }

    /** A quoted string: only the quotation mark has to be escaped, and a backslash that would escape the closing one. */
    private static function quoted(string $text): string
    {
        return '"'.str_replace(['\\', '"', "\n", "\r"], ['\\\\', '\\"', ' ', ' '], $text).'"';
    }
}
