<?php

declare(strict_types=1);

/*
 * What PHP's own server asks for every request: files of the public folder are given with the headers of every other answer, compressed
 * where that helps, and for good where their name has a hash in it; all else goes to the application.
 */
$public = dirname(__DIR__).'/public';
$path = rawurldecode((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH));
$types = [
    'css' => 'text/css; charset=utf-8', 'js' => 'text/javascript; charset=utf-8', 'svg' => 'image/svg+xml', 'json' => 'application/json',
    'woff2' => 'font/woff2', 'woff' => 'font/woff', 'png' => 'image/png', 'ico' => 'image/x-icon', 'txt' => 'text/plain; charset=utf-8',
];
$file = str_contains($path, "\0") ? false : realpath($public.$path);
$type = $file === false ? null : $types[strtolower(pathinfo($file, PATHINFO_EXTENSION))] ?? null;
if ($file === false || $type === null || ! is_file($file) || ! str_starts_with($file, $public.'/')) {
    require $public.'/index.php';

    return;
}
header_remove('X-Powered-By');
header("Content-Type: {$type}");
header("Content-Security-Policy: default-src 'none'; script-src 'self'; style-src 'unsafe-inline'; connect-src 'self'; frame-ancestors 'none'");
header('X-Content-Type-Options: nosniff');
header('X-Frame-Options: DENY');
header('Referrer-Policy: same-origin');
header('Permissions-Policy: camera=(), microphone=(), geolocation=()');
header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'public, max-age=3600'));
$tag = '"'.dechex((int) filemtime($file)).'-'.dechex((int) filesize($file)).'"';
header("ETag: {$tag}");
if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
    http_response_code(304);

    return;
}
$body = (string) file_get_contents($file);
if (str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip') && ! str_starts_with($type, 'font/') && strlen($body) > 1000) {
    header('Vary: Accept-Encoding');
    // Compressed once by the build where it can be; a file that is not is small.
    $body = is_file("{$file}.gz") ? (string) file_get_contents("{$file}.gz") : (string) gzencode($body, 6);
    header('Content-Encoding: gzip');
}
header('Content-Length: '.strlen($body));
echo($_SERVER['REQUEST_METHOD'] ?? 'GET') === 'HEAD' ? '' : $body;
