<?php

declare(strict_types=1);

/*
 * The object store of tests and of bin/cluster: `STORE_FOLDER=… STORE_BUCKET=… STORE_KEY=… STORE_SECRET=… php -S 127.0.0.1:PORT
 * bin/serve/object-store.php`.
 */
require dirname(__DIR__, 2).'/lib/ObjectStore/Signature.php';
require dirname(__DIR__, 2).'/lib/ObjectStore/Store.php';

$store = new ObjectStore\Store(
    (string) getenv('STORE_FOLDER'),
    (string) getenv('STORE_BUCKET'),
    new ObjectStore\Signature((string) getenv('STORE_KEY'), (string) getenv('STORE_SECRET')),
);
[$path, $query] = [...explode('?', $_SERVER['REQUEST_URI'], 2), ''];
[$status, $headers, $body] = $store->answer(
    $_SERVER['REQUEST_METHOD'],
    $path,
    $query,
    array_change_key_case(getallheaders()),
    (string) file_get_contents('php://input'),
    time(),
);
http_response_code($status);
foreach ($headers as $name => $value) {
    header("{$name}: {$value}");
}
echo $body;
