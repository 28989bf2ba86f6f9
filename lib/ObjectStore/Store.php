<?php

declare(strict_types=1);

namespace ObjectStore;

/**
 * A small object store for tests and for `bin/cluster`: puts, gets, deletes and lists objects of one bucket in a folder, by the usual
 * interface, for whoever signs what they ask. Names of objects become names of files that lead nowhere else.
 */
final readonly class Store
{
    private const MOST = 1000;

    public function __construct(private string $folder, private string $bucket, private Signature $signature)
    {
    }

    /**
     * @param  array<string, string>  $headers  by name in small letters
     * @return array{int, array<string, string>, string} status, headers, body
     */
    public function answer(string $method, string $path, string $query, array $headers, string $body, int $now): array
    {
        $trouble = $this->signature->trouble($method, $path, $query, $headers, $body, $now);
        if ($trouble !== null) {
            return self::error(403, $trouble);
        }
        [$bucket, $key] = [...explode('/', ltrim(rawurldecode($path), '/'), 2), ''];
        parse_str($query, $asked);

        return match (true) {
            $bucket !== $this->bucket => self::error(404, 'NoSuchBucket'),
            $key === '' && $method === 'GET' => $this->list($asked),
            $key === '' && $method === 'POST' && isset($asked['delete']) => $this->deleteAll($body),
            $key === '' => self::error(405, 'MethodNotAllowed'),
            $method === 'PUT' => $this->put($key, $body),
            $method === 'DELETE' => $this->delete($key),
            $method === 'GET', $method === 'HEAD' => $this->get($key, $method === 'HEAD'),
            default => self::error(405, 'MethodNotAllowed'),
        };
    }

    /** @return array{int, array<string, string>, string} */
    private function put(string $key, string $body): array
    {
        $part = $this->file($key).'.'.bin2hex(random_bytes(4)).'.part';
        file_put_contents($part, $body);
        // Nobody ever reads half of one.
        rename($part, $this->file($key));

        return [200, ['ETag' => '"'.md5($body).'"'], ''];
    }

    /** @return array{int, array<string, string>, string} */
    private function get(string $key, bool $isHead): array
    {
        if (! is_file($this->file($key))) {
            return $isHead ? [404, [], ''] : self::error(404, 'NoSuchKey');
        }
        $body = (string) file_get_contents($this->file($key));

        return [200, ['ETag' => '"'.md5($body).'"', 'Content-Type' => 'application/octet-stream', 'Content-Length' => (string) strlen($body),
            'Last-Modified' => gmdate('D, d M Y H:i:s', (int) filemtime($this->file($key))).' GMT'], $isHead ? '' : $body];
    }

    /** @return array{int, array<string, string>, string} */
    private function delete(string $key): array
    {
        @unlink($this->file($key));

        return [204, [], ''];
    }

    /** @return array{int, array<string, string>, string} */
    private function deleteAll(string $body): array
    {
        $asked = @simplexml_load_string($body);
        if ($asked === false) {
            return self::error(400, 'MalformedXML');
        }
        $said = '';
        foreach ($asked->Object as $one) {
            $this->delete((string) $one->Key);
            $said .= '<Deleted><Key>'.self::text((string) $one->Key).'</Key></Deleted>';
        }

        return self::xml("<DeleteResult>{$said}</DeleteResult>");
    }

    /**
     * @param  array<array-key, mixed>  $asked
     * @return array{int, array<string, string>, string}
     */
    private function list(array $asked): array
    {
        $of = fn (string $name): string => is_string($asked[$name] ?? null) ? $asked[$name] : '';
        [$prefix, $delimiter, $after] = [$of('prefix'), $of('delimiter'), $of('continuation-token') ?: $of('start-after')];
        $most = max(1, min(self::MOST, (int) ($of('max-keys') ?: self::MOST)));
        $contents = $folders = [];
        $next = '';
        foreach ($this->keys() as $key => $file) {
            if (! str_starts_with($key, $prefix) || strcmp($key, $after) <= 0) {
                continue;
            }
            $end = $delimiter === '' ? false : strpos($key, $delimiter, strlen($prefix));
            if ($end !== false) {
                $folders[substr($key, 0, $end + 1)] = true;
            } elseif (count($contents) === $most) {
                $next = array_key_last($contents);
                break;
            } else {
                $contents[$key] = '<Contents><Key>'.self::text($key).'</Key><LastModified>'.gmdate('Y-m-d\TH:i:s.000\Z', (int) filemtime($file))
                    .'</LastModified><ETag>"'.md5_file($file).'"</ETag><Size>'.filesize($file)
                    .'</Size><StorageClass>STANDARD</StorageClass></Contents>';
            }
        }
        $prefixes = array_map(fn (string $one) => '<CommonPrefixes><Prefix>'.self::text($one).'</Prefix></CommonPrefixes>', array_keys($folders));

        return self::xml('<ListBucketResult><Name>'.self::text($this->bucket).'</Name><Prefix>'.self::text($prefix).'</Prefix><KeyCount>'
            .(count($contents) + count($folders))."</KeyCount><MaxKeys>{$most}</MaxKeys><IsTruncated>".($next === '' ? 'false' : 'true')
            .'</IsTruncated>'.($next === '' ? '' : '<NextContinuationToken>'.self::text($next).'</NextContinuationToken>')
            .implode('', $contents).implode('', $prefixes).'</ListBucketResult>');
    }

    /** @return array<string, string> files by the objects' names, in their order */
    private function keys(): array
    {
        $keys = [];
        foreach (glob("{$this->folder}/*.object") ?: [] as $file) {
            $keys[rawurldecode(basename($file, '.object'))] = $file;
        }
        ksort($keys, SORT_STRING);

        return $keys;
    }

    /** A name of its own for each object: slashes and dots lead nowhere. */
    private function file(string $key): string
    {
        return "{$this->folder}/".str_replace('.', '%2E', rawurlencode($key)).'.object';
    }

    /** @return array{int, array<string, string>, string} */
    private static function error(int $status, string $code): array
    {
        return self::xml("<Error><Code>{$code}</Code><Message>{$code}</Message></Error>", $status);
    }

    /** @return array{int, array<string, string>, string} */
    private static function xml(string $text, int $status = 200): array
    {
        return [$status, ['Content-Type' => 'application/xml'], "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n{$text}"];
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES);
    }
}
