<?php

declare(strict_types=1);

use PhpCsFixer\Config;
use PhpCsFixer\Finder;

return (new Config())
    ->setRiskyAllowed(true)
    ->setUnsupportedPhpVersionAllowed(true)
    ->setCacheFile(__DIR__.'/.cache/php-cs-fixer')
    ->setFinder(Finder::create()->in([__DIR__.'/core', __DIR__.'/app', __DIR__.'/bootstrap', __DIR__.'/config', __DIR__.'/database', __DIR__.'/routes', __DIR__.'/tests', __DIR__.'/packages'])->notPath('cache'))
    ->setRules([
        '@PSR12' => true,
        'single_line_empty_body' => true,
        'function_declaration' => ['closure_fn_spacing' => 'one'],
        'method_argument_space' => ['on_multiline' => 'ignore'],
        'declare_strict_types' => true,
        'no_unused_imports' => true,
        'ordered_imports' => true,
        'single_quote' => true,
        'trailing_comma_in_multiline' => true,
        'blank_line_before_statement' => ['statements' => ['return']],
        'no_superfluous_phpdoc_tags' => ['allow_mixed' => true],
        'not_operator_with_successor_space' => true,
        'array_syntax' => ['syntax' => 'short'],
        'strict_comparison' => true,
        'void_return' => true,
    ]);
