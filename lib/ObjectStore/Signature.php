<?php

declare(strict_types=1);

namespace ObjectStore;

/** The signature of a request, version 4 of the usual interface of object stores: computed anew from what came, and compared. */
final readonly class Signature
{
    /** In seconds: a request that was listened in on opens nothing later. */
    private const SKEW = 900;

    private const FORM = '~^AWS4-HMAC-SHA256 Credential=([^/]+)/(\d{8})/([^/]+)/s3/aws4_request, ?SignedHeaders=([a-z0-9;-]+), ?Signature=([0-9a-f]{64})$~';

    public function __construct(private string $key, private string $secret)
    {
    }

    /**
     * @param  array<string, string>  $headers  by name in small letters
     * @param  string  $path  as it was sent, percent signs and all
     * @param  string  $query  as it was sent
     * @return string|null why it does not count; null where it does
     */
    public function trouble(string $method, string $path, string $query, array $headers, string $body, int $now): ?string
    {
        if (preg_match(self::FORM, $headers['authorization'] ?? '', $said) !== 1) {
            return 'AccessDenied';
        }
        [, $key, $day, $region, $names, $signature] = $said;
        $date = $headers['x-amz-date'] ?? '';
        $at = \DateTimeImmutable::createFromFormat('Ymd\THis\Z', $date, new \DateTimeZone('UTC'));
        $digest = $headers['x-amz-content-sha256'] ?? '';
        $names = explode(';', $names);

        return match (true) {
            ! hash_equals($this->key, $key) => 'InvalidAccessKeyId',
            $at === false || ! str_starts_with($date, $day) || abs($at->getTimestamp() - $now) > self::SKEW => 'RequestTimeTooSkewed',
            // What is not signed could be another's.
            array_diff(['host', 'x-amz-content-sha256', 'x-amz-date'], $names) !== [] => 'AccessDenied',
            ! hash_equals(hash('sha256', $body), $digest) => 'XAmzContentSHA256Mismatch',
            ! hash_equals($this->of($method, $path, $query, $headers, $names, $digest, $date, "{$day}/{$region}/s3/aws4_request"), $signature) => 'SignatureDoesNotMatch',
            default => null,
        };
    }

    /**
     * @param  array<string, string>  $headers
     * @param  list<string>  $names
     */
    private function of(
        string $method,
        string $path,
        string $query,
        array $headers,
        array $names,
        string $digest,
        string $date,
        string $scope,
    ): string {
        $canonical = implode("\n", [
            $method, implode('/', array_map(fn (string $part) => rawurlencode(rawurldecode($part)), explode('/', $path))),
            self::sorted($query), ...array_map(fn (string $name) => "{$name}:".self::trimmed($headers[$name] ?? ''), $names), '',
            implode(';', $names), $digest,
        ]);
        $text = implode("\n", ['AWS4-HMAC-SHA256', $date, $scope, hash('sha256', $canonical)]);
        $signing = "AWS4{$this->secret}";
        foreach (explode('/', $scope) as $part) {
            $signing = hash_hmac('sha256', $part, $signing, true);
        }

        return hash_hmac('sha256', $text, $signing);
    }

    private static function sorted(string $query): string
    {
        $pairs = [];
        foreach (array_filter(explode('&', $query), fn (string $one) => $one !== '') as $one) {
            [$name, $value] = [...explode('=', $one, 2), ''];
            $pairs[] = rawurlencode(rawurldecode($name)).'='.rawurlencode(rawurldecode($value));
        }
        sort($pairs);

        return implode('&', $pairs);
    }

    private static function trimmed(string $value): string
    {
        return (string) preg_replace('/ +/', ' ', trim($value));
    }
}
