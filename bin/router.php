<?php

declare(strict_types=1);

// For PHP's built-in server: files of public/ as they are, everything else through Laravel.

$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$file = realpath(__DIR__.'/../public'.$path);
if ($path !== '/' && $file !== false && is_file($file) && str_starts_with($file, (string) realpath(__DIR__.'/../public'))) {
    if (! str_starts_with($path, '/build/assets/')) {
        return false;
    }
    // File names under /build/assets carry a hash of their contents, so a browser may keep them.
    $types = ['js' => 'text/javascript', 'css' => 'text/css', 'woff2' => 'font/woff2', 'woff' => 'font/woff', 'svg' => 'image/svg+xml'];
    header('Content-Type: '.($types[pathinfo($file, PATHINFO_EXTENSION)] ?? 'application/octet-stream'));
    header('Cache-Control: public, max-age=31536000, immutable');
    header('X-Content-Type-Options: nosniff');
    header('Vary: Accept-Encoding');
    $packed = $file.'.gz';
    if (is_file($packed) && preg_match('/\bgzip\b(?!\s*;\s*q=0(\.0*)?\s*(,|$))/i', (string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '')) === 1) {
        header('Content-Encoding: gzip');
        $file = $packed;
    }
    header('Content-Length: '.filesize($file));
    readfile($file);

    return true;
}

require __DIR__.'/../public/index.php';
