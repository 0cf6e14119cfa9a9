/**
 * SHA-256 of each migration's file. A test holds them against the files: a migration that may have run
 * somewhere is never edited, a new one is added behind it.
 */
export const CHECKSUMS = {
  '0001-first-tables': '369ead3d113e4c848a2840f1ddbd7a361be0d791f8851107fcd097a23fc3ef6a',
  '0002-studio-exercises': '6906e2ad6e4c9970f92ac8ad25e33b3033a41b4cd7566766da626e1ec8b35283',
  '0003-studio-schools': '9da16990c039adb1d925e830b6a742ffec984fa64eaae50990bd2080c4cf9da7',
  '0004-the-door': 'eaabbf8797741823e2b58eef2897bb7d027742b9351231ad041f602da5b87693',
  '0005-nothing-lost': 'e50db3462e52ba89d7ac7e51998180be1b31081cbb9c91c0e2a325bd1303ca0c',
  '0006-sealed-records': 'ac50fd21fbdb25e592080c2ac1d496e00dad3d0d5129688957624c80e4c18ac6',
  '0007-second-factor': 'dd9d2989f71057a9ac998a9f512a9db9f99ee45c37f802259d4561ad1a9d51b8',
  '0008-machines-and-week': '398f5542bdf361fdf845dbaa6c00f63af589e1c6afea0819fbfe337e4ba114a9',
  '0009-kept-plans-and-groups': 'e706217cb0e1962fc4c5e738716b5561779cae7cc5c61fbe257ba788882d9047',
  '0010-who-teaches-feeds-desk': '2c466a4a51b58dfd5b5caf81e23ca0ea6ac825b07795dc793f8b258f40a42bb7',
  '0011-own-bounds': 'b60b30e884bb63554f04b5c201bba14eebfcc3b259fbfca6538cf52309a66139',
  '0012-wall': 'd08de0d9ac9eaff1470a81d78a6f3607eccd8c7fcebb43fbf6e87e2bf3aea528',
  '0013-own-pace': '955be4f244892dc5628781d1e6d4a79ec9d533bfb7460f994b3d7835673a2db8',
} as const;
