<?php

declare(strict_types=1);

namespace HiddenWire\Core\Export;

use HiddenWire\Core\Book\BookInput;

/** The signal graph in the base situation as GraphML. Source: http://graphml.graphdrawing.org/specification.html */
final class GraphMl implements Exporter
{
    private const KEYS = [
        'node' => [
            'ref' => 'string', 'label' => 'string', 'unit' => 'string', 'place' => 'string', 'kind' => 'string', 'channels' => 'int',
        ],
        'edge' => ['kind' => 'string', 'label' => 'string', 'gain_db' => 'double', 'delay_ms' => 'double', 'carries' => 'boolean'],
    ];

    public function key(): string
    {
        return 'graphml';
    }

    public function label(): string
    {
        return 'Signal graph (GraphML)';
    }

    public function extension(): string
    {
        return 'graphml';
    }

    public function mediaType(): string
    {
        return 'application/xml';
    }

    public function write(BookInput $of): string
    {
        $network = new Network($of->graph());
        $lines = [
            '<?xml version="1.0" encoding="UTF-8"?>',
            '<graphml xmlns="http://graphml.graphdrawing.org/xmlns" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance" '
                .'xsi:schemaLocation="http://graphml.graphdrawing.org/xmlns http://graphml.graphdrawing.org/xmlns/1.0/graphml.xsd">',
        ];
        foreach (self::KEYS as $for => $keys) {
            foreach ($keys as $name => $type) {
                $lines[] = "  <key id=\"{$for}-{$name}\" for=\"{$for}\" attr.name=\"{$name}\" attr.type=\"{$type}\"/>";
            }
        }
        $lines[] = '  <graph id="rig" edgedefault="directed">';
        // An id is a name token of the schema, which a reference with its strokes is not.
        $ids = array_flip(array_map(strval(...), array_keys($network->nodes)));
        foreach ($network->nodes as $id => $node) {
            $lines[] = "    <node id=\"n{$ids[$id]}\">".$this->data('node', ['ref' => (string) $id, ...$node]).'</node>';
        }
        foreach ($network->edges as $number => $edge) {
            $lines[] = "    <edge id=\"e{$number}\" source=\"n{$ids[$edge['from']]}\" target=\"n{$ids[$edge['to']]}\">"
                .$this->data('edge', $edge).'</edge>';
        }

        return implode("\n", [...$lines, '  </graph>', '</graphml>', '']);
    }

    /** @param  array<string, string|int|float|bool>  $values */
    private function data(string $for, array $values): string
    {
        $data = '';
        foreach (array_keys(self::KEYS[$for]) as $name) {
            $value = $values[$name];
            $text = is_bool($value) ? ($value ? 'true' : 'false') : self::text((string) $value);
            $data .= "<data key=\"{$for}-{$name}\">{$text}</data>";
        }

        return $data;
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES, 'UTF-8');
    }
}
