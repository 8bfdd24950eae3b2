declare module 'recharts/es6/*'
