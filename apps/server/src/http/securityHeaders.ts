import helmet from 'helmet'

/** Only our own scripts and workers; styles may stand inline, as styled-components writes them. */
export const securityHeaders = () =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        'default-src': ["'self'"],
        'script-src': ["'self'"],
        'worker-src': ["'self'"],
        'style-src': ["'self'", "'unsafe-inline'"],
        'font-src': ["'self'"],
        'img-src': ["'self'", 'data:'],
        'connect-src': ["'self'"],
        'object-src': ["'none'"],
        'frame-ancestors': ["'none'"],
        // plain http on loopback: nothing to upgrade to
        'upgrade-insecure-requests': null,
      },
    },
    strictTransportSecurity: false,
  })
