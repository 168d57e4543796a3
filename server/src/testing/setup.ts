import 'reflect-metadata';

process.env['WHICH_WAY_LOG'] = process.env['WHICH_WAY_LOG'] ?? 'quiet';
